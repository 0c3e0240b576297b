<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\RainbowOrder;
use Lottel\Core\Colour\Srgb;

/** All paper laid out in groups of columns: by family of colour in rainbow order, by collection, by maker, or by the unit it lies in. */
final readonly class PaperWall
{
    /** What a shelf shows at the most: where a room has more colours, those of which it has most. */
    private const MOST = 150;

    public function __construct(private Connection $database, private KeptUntilChanged $kept)
    {
    }

    public function laidOut(PaperOrder $order): LaidOutPaper
    {
        return $this->kept->get(LaidOutPaper::class, $order->value, fn (): LaidOutPaper => $this->found($order));
    }

    private function found(PaperOrder $order): LaidOutPaper
    {
        $rows = $this->rows($order);
        $groups = [];
        foreach (\array_slice($rows, 0, self::MOST) as $row) {
            $column = PaperColumn::of($row, $order);
            $groups[$column->group][] = $column;
        }
        $laid = array_map(self::inOrder(...), $groups);
        uksort($laid, static fn (string $a, string $b): int => PaperOrder::Colour === $order ? self::rank($a) <=> self::rank($b) : strnatcasecmp($a, $b));

        return new LaidOutPaper($laid, max(0, \count($rows) - self::MOST));
    }

    /** @return list<Row> those of which there is most first */
    private function rows(PaperOrder $order): array
    {
        [$group, $joined] = match ($order) {
            PaperOrder::Colour => ["''", ''],
            PaperOrder::Collection => ["CASE WHEN i.collection = '' THEN 'no collection' ELSE i.collection END", ''],
            PaperOrder::Maker => ["CASE WHEN i.maker = '' THEN 'unknown maker' ELSE i.maker END", ''],
            PaperOrder::Place => ["coalesce(u.letters, 'no home')", 'LEFT JOIN place p ON p.id = i.home_id LEFT JOIN unit u ON u.id = p.unit_id'],
        };
        $rows = $this->database->fetchAllAssociative(
            "WITH paper AS MATERIALIZED (SELECT i.id, i.kind, i.colour, i.sheet_width, i.sheet_height, $group AS in_group,
                CASE WHEN i.colour IS NULL OR i.colour_name = '' THEN i.name ELSE i.colour_name END AS label,
                s.here AS stored FROM item i JOIN stock_of_item s ON s.item_id = i.id $joined WHERE i.removed_at IS NULL AND i.kind IN ('paper', 'scrap'))
             SELECT min(id) AS id, label, colour, in_group, sum(CASE WHEN kind = 'paper' THEN stored ELSE 0 END) AS sheets,
                sum(CASE WHEN kind = 'scrap' THEN stored ELSE 0 END) AS scraps,
                json_group_array(json_array(sheet_width, sheet_height)) FILTER (WHERE kind = 'scrap' AND sheet_width IS NOT NULL) AS scrap_sizes
             FROM paper WHERE kind = 'paper' OR stored > 0
             GROUP BY in_group, colour, label, CASE WHEN colour IS NULL THEN id END ORDER BY sum(stored) DESC, label",
        );

        return Row::each($rows, static fn (Row $row): Row => $row);
    }

    private static function rank(string $group): int
    {
        return Family::tryFrom($group)?->rank() ?? \PHP_INT_MAX;
    }

    /**
     * @param list<PaperColumn> $columns
     *
     * @return list<PaperColumn> in rainbow order, those without a colour last, by name
     */
    private static function inOrder(array $columns): array
    {
        $coloured = array_values(array_filter($columns, static fn (PaperColumn $column): bool => null !== $column->colour));
        $others = array_values(array_filter($columns, static fn (PaperColumn $column): bool => null === $column->colour));
        usort($others, static fn (PaperColumn $a, PaperColumn $b): int => strnatcasecmp($a->label, $b->label));

        return [...RainbowOrder::sorted($coloured, static fn (PaperColumn $column): Srgb => Srgb::ofHex((string) $column->colour)), ...$others];
    }
}
