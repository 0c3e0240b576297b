<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Database\Row;
use App\Room\Catalogue\SheetColumns;
use Doctrine\DBAL\Connection;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\EnvelopeFit;
use Lottel\Core\Design\Sides;
use Lottel\Core\Kit\Availability;

/** The envelopes that are there, and how a card goes into them. */
final readonly class EnvelopesInStock
{
    public function __construct(private Connection $database, private ThicknessReading $thickness)
    {
    }

    /** @return list<EnvelopeChoice> the best first: the smallest of those that take it, with enough of it; those that are too small last */
    public function for(Design $design): array
    {
        [$thick, $edge] = $this->thickness->of($design);
        $choices = [];
        foreach ($this->rows() as $row) {
            $size = SheetColumns::read($row)->size;
            if (null === $size) {
                continue;
            }
            $choices[] = new EnvelopeChoice(
                $row->int('id'),
                $row->text('name'),
                $size,
                $row->textOrNull('colour'),
                $row->textOrNull('address'),
                $row->intOrNull('home_id'),
                (new Availability($row->int('stored'), 0, $row->int('wanted')))->free(),
                EnvelopeFit::of(Sides::of($size), $design->finished, $thick, $edge),
            );
        }
        usort($choices, static fn (EnvelopeChoice $a, EnvelopeChoice $b): int => self::rank($a, $design) <=> self::rank($b, $design));

        return $choices;
    }

    /** @return list<int|float> */
    private static function rank(EnvelopeChoice $choice, Design $design): array
    {
        return [
            $choice->fit->isPossible() ? 0 : 1,
            round($choice->size->squareMetres(), 5),
            $choice->free >= $design->quantity ? 0 : 1,
            EnvelopeFit::Takes === $choice->fit ? 0 : 1,
            -$choice->free,
            $choice->item,
        ];
    }

    /** @return list<Row> */
    private function rows(): array
    {
        return Row::each($this->database->fetchAllAssociative(
            "SELECT i.*, h.address, s.here AS stored,
                (SELECT coalesce(sum(w.quantity), 0) FROM open_want w WHERE w.item_id = i.id AND w.for_design = 0) AS wanted
             FROM item i JOIN stock_of_item s ON s.item_id = i.id LEFT JOIN place h ON h.id = i.home_id
             WHERE i.kind = 'envelope' AND i.tracking = 'count' AND i.removed_at IS NULL AND i.sheet_width IS NOT NULL ORDER BY i.id LIMIT 200",
        ), static fn (Row $row): Row => $row);
    }
}
