<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Database\Row;
use App\Platform\Web\Measures;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\SheetColumns;
use Doctrine\DBAL\Connection;
use Lottel\Core\Cutting\ReadyCut;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\OnSheet;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\Sides;

/** What a design can begin with: what was cut ahead of time, papers of which there are enough, and patterns. */
final readonly class StartingPoints
{
    private const MOST = 6;

    /** Bases bend under less, in mg/m² (common practice, no source). */
    private const LEAST_FOR_BASES = 200_000;

    public function __construct(private Connection $database, private Designs $designs, private Measures $measures)
    {
    }

    /**
     * @param int $wanted how many are to be made
     *
     * @return list<StartingPoint> the ones for which most is at hand first
     */
    public function owned(int $wanted): array
    {
        $points = [];
        $own = CardSize::usualIn($this->measures->measure());
        $cards = array_unique([...$own, ...CardSize::cases()], \SORT_REGULAR);
        foreach ($this->rows() as $row) {
            $size = SheetColumns::read($row)->size;
            if (null === $size || $row->int('free') < $wanted) {
                continue;
            }
            $sides = Sides::of($size);
            foreach ($cards as $card) {
                $point = StartingPoint::from($row, $sides, $card);
                if (null !== $point) {
                    $points[] = $point;
                    break;
                }
            }
        }

        return \array_slice($points, 0, self::MOST);
    }

    /** @return list<EnoughSheets> papers that are heavy enough for bases, and of which there are enough sheets, the heaviest first */
    public function enoughSheets(int $wanted): array
    {
        $enough = [];
        $card = CardSize::usualIn($this->measures->measure())[0];
        $base = Fold::Top->flat($card->sides());
        foreach ($this->papers() as $row) {
            $size = SheetColumns::read($row)->size;
            $sheets = null === $size ? null : OnSheet::sheets(Sides::of($size), $base, $wanted);
            if (null !== $sheets && $sheets <= $row->int('free')) {
                $enough[] = new EnoughSheets(
                    $row->int('id'),
                    $row->text('name'),
                    $row->textOrNull('colour'),
                    $row->textOrNull('address'),
                    $card,
                    $sheets,
                    $row->int('free'),
                );
            }
        }

        return \array_slice($enough, 0, self::MOST);
    }

    /** @return list<Row> */
    private function papers(): array
    {
        return Row::each($this->database->fetchAllAssociative(
            "SELECT i.*, h.address, s.here - s.wanted AS free
             FROM item i JOIN stock_of_item s ON s.item_id = i.id LEFT JOIN place h ON h.id = i.home_id
             WHERE i.kind = 'paper' AND i.tracking = 'count' AND i.removed_at IS NULL AND i.sheet_width IS NOT NULL AND i.parent_id IS NULL
                AND i.grammage >= :gsm ORDER BY i.grammage DESC, free DESC, i.id LIMIT 40",
            ['gsm' => self::LEAST_FOR_BASES],
        ), static fn (Row $row): Row => $row);
    }

    /** Returns the design with the paper of something that is ready for it: for its base where that is scored, else for its lowest layer. */
    public function from(Design $design, Item $ready): Design
    {
        $paper = new PaperChoice((int) ($ready->parent ?? $ready)->id);
        $lowest = $design->layers[0] ?? null;

        return null === $lowest || ReadyCut::saysScored($ready->name) ? $design->with(['paper' => $paper]) : $design->putting($lowest->of($paper));
    }

    /** @return list<Pattern> */
    public function patterns(): array
    {
        return \array_slice($this->designs->patterns(), 0, self::MOST);
    }

    /** @return list<Row> what is ready-cut and free, the most of it first; then sheets */
    private function rows(): array
    {
        return Row::each($this->database->fetchAllAssociative(
            "SELECT i.*, h.address, coalesce(p.name, i.name) AS paper_name, i.parent_id IS NOT NULL AS is_ready, s.here - s.wanted AS free
             FROM item i JOIN stock_of_item s ON s.item_id = i.id LEFT JOIN place h ON h.id = i.home_id LEFT JOIN item p ON p.id = i.parent_id
             WHERE i.kind = 'paper' AND i.tracking = 'count' AND i.removed_at IS NULL AND i.sheet_width IS NOT NULL AND i.parent_id IS NOT NULL
             ORDER BY free DESC, i.id LIMIT 60",
        ), static fn (Row $row): Row => $row);
    }
}
