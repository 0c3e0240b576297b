<?php

declare(strict_types=1);

namespace App\Design;

use App\Catalogue\SheetColumns;
use App\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Posting;
use Lottel\Core\Design\Sides;
use Lottel\Core\Kit\Availability;
use Lottel\Core\Measure\Length;

/** The envelopes that are there, and how a card goes into them. */
final readonly class EnvelopesInStock
{
    /**
     * What is left around a card that goes in easily, besides its thickness. Tightly goes in what does so at its edges, where no foam
     * makes it thicker (common practice, no source).
     */
    private const CLEARANCE = Length::TICKS_PER_INCH / 16;

    public function __construct(private Connection $database, private ThicknessReading $thickness)
    {
    }

    /** @return list<EnvelopeChoice> the best first: the smallest of those that take it, with enough of it; those that are too small last */
    public function for(Design $design): array
    {
        $thick = $this->thickness->of($design);
        $easy = Posting::needed($design->finished, self::CLEARANCE, $thick);
        $tight = Posting::needed($design->finished, 0, $this->thickness->withoutFoam($design));
        $choices = [];
        foreach ($this->rows() as $row) {
            $size = SheetColumns::read($row)->size;
            if (null === $size) {
                continue;
            }
            $sides = Sides::of($size);
            $choices[] = new EnvelopeChoice(
                $row->int('id'),
                $row->text('name'),
                $size,
                $row->textOrNull('colour'),
                $row->textOrNull('address'),
                $row->intOrNull('home_id'),
                (new Availability($row->int('stored'), 0, $row->int('wanted')))->free(),
                $easy->fitsIn($sides) ? EnvelopeFit::Takes : ($tight->fitsIn($sides) ? EnvelopeFit::Tight : EnvelopeFit::TooSmall),
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
            "SELECT i.*, h.address,
                (SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN place p ON p.id = b.place_id
                 WHERE b.item_id = i.id AND p.nature IN ('storage', 'unfiled')) AS stored,
                (SELECT coalesce(sum(n.quantity - n.taken), 0) FROM need n JOIN kit k ON k.id = n.kit_id
                 WHERE n.item_id = i.id AND n.state = 'open' AND n.for_design = 0 AND k.stage <> 'closed') AS wanted
             FROM item i LEFT JOIN place h ON h.id = i.home_id
             WHERE i.kind = 'envelope' AND i.tracking = 'count' AND i.removed_at IS NULL AND i.sheet_width IS NOT NULL ORDER BY i.id LIMIT 200",
        ), static fn (Row $row): Row => $row);
    }
}
