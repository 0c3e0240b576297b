<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\PaperWish;

/** What a kit's pieces may be cut from: what lies in drawers and no other kit wants, and what is on its tray and not cut yet. */
final readonly class SheetsReading
{
    private const MOST = 600;

    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, Lab> the colours of all papers, by their hex */
    public function colours(): array
    {
        $hexes = Row::words($this->database->fetchFirstColumn(
            "SELECT DISTINCT colour FROM item WHERE colour IS NOT NULL AND kind IN ('paper', 'scrap', 'part-finished')",
        ));

        return array_combine($hexes, array_map(static fn (string $hex): Lab => Lab::of(Srgb::ofHex($hex)), $hexes));
    }

    public function own(Kit $kit): OwnPapers
    {
        return new OwnPapers(
            $this->byItem('SELECT item_id, quantity FROM lies_out WHERE kit_id = ?', $kit),
            $this->byItem('SELECT item_id, quantity FROM open_want WHERE kit_id = ?', $kit),
            $this->byItem('SELECT item_id, quantity - to_cut FROM need WHERE kit_id = ?', $kit),
            $this->byItem("SELECT item_id, quantity FROM use_of_item WHERE kit_id = ? AND reason = 'use'", $kit),
            $this->byItem("SELECT item_id, 1 FROM sheet_in_work WHERE kit_id = ? AND NOT is_logged AND json_extract(tree, '$.made')", $kit),
        );
    }

    /**
     * @param OwnPapers $own what the kit has and wants of them
     * @param int $narrowest the shorter side of the smallest piece, in ticks
     * @param array<string, Lab> $colours of all papers, by their hex
     *
     * @return list<StockSheet> in the order of their numbers
     */
    public function of(OwnPapers $own, Item $paper, int $narrowest, PaperWish $wish, array $colours): array
    {
        $rows = $this->database->fetchAllAssociative(
            "WITH own AS (
                SELECT id FROM item WHERE id = :paper UNION SELECT id FROM item WHERE parent_id = :paper
                UNION SELECT id FROM item WHERE kind IN ('paper', 'scrap', 'part-finished') AND colour IN (SELECT value FROM json_each(:colours))),
             few AS (
                SELECT i.id FROM own JOIN item i ON i.id = own.id
                WHERE i.removed_at IS NULL AND i.tracking = 'count' AND i.kind IN ('paper', 'scrap', 'part-finished') AND i.outline IS NULL
                    AND i.sheet_width >= CAST(:narrowest AS INTEGER) AND i.sheet_height >= CAST(:narrowest AS INTEGER)
                    AND EXISTS (SELECT 1 FROM stock_of_item s WHERE s.item_id = i.id AND s.in_room > 0)
                ORDER BY i.sheet_width * i.sheet_height DESC, i.id LIMIT ".self::MOST.')
             SELECT i.*, s.here, s.wanted
             FROM few JOIN item i ON i.id = few.id JOIN stock_of_item s ON s.item_id = i.id ORDER BY i.id',
            ['paper' => $paper->id, 'narrowest' => $narrowest, 'colours' => self::coloursLike($paper, $wish, $colours)],
        );

        return array_values(array_filter(array_map(static fn (array $columns): ?StockSheet => StockSheet::of(new Row($columns), $own), $rows)));
    }

    /** @return array<int, int> quantities by item */
    private function byItem(string $sql, Kit $kit): array
    {
        $byItem = [];
        foreach ($this->database->fetchAllNumeric($sql, [$kit->id]) as [$item, $quantity]) {
            $byItem[Row::number($item)] = ($byItem[Row::number($item)] ?? 0) + Row::number($quantity);
        }

        return $byItem;
    }

    /** @param array<string, Lab> $colours */
    private static function coloursLike(Item $paper, PaperWish $wish, array $colours): string
    {
        if (null === $paper->colour) {
            return '[]';
        }
        $wanted = Lab::of(Srgb::ofHex($paper->colour));
        $like = array_filter($colours, static fn (Lab $known): bool => Difference::isWithin($wish->tolerance(), $wanted, $known));

        return json_encode(array_map(strval(...), array_keys($like)), \JSON_THROW_ON_ERROR);
    }
}
