<?php

declare(strict_types=1);

namespace App\Restock;

use App\Catalogue\ThingLine;
use App\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;

/** What is there already that is like something that is to be bought: of the same kind and nearly the same colour. */
final readonly class AlikeReading
{
    /** Up to here colours are hard to tell apart side by side, by ΔE00 (common practice, no source). */
    private const NEAR = 5.0;
    private const MOST = 3;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, list<ThingLine>> a few things that are there, the nearest colour first, by item
     */
    public function of(array $items): array
    {
        $alike = [];
        foreach ($this->rows('i.id IN ('.implode(', ', [0, ...$items]).') AND i.colour IS NOT NULL', []) as $row) {
            $colour = Lab::of(Srgb::ofHex($row->text('colour')));
            $near = [];
            $others = $this->rows(
                "i.kind = :kind AND i.colour IS NOT NULL AND i.id <> :item AND i.removed_at IS NULL AND i.is_multicolour = 0
                 AND EXISTS (SELECT 1 FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'storage' WHERE b.item_id = i.id AND b.quantity > 0)",
                ['kind' => $row->text('kind'), 'item' => $row->int('item_id')],
            );
            foreach ($others as $other) {
                $difference = Difference::between($colour, Lab::of(Srgb::ofHex($other->text('colour'))));
                if ($difference <= self::NEAR) {
                    $near[] = [$difference, ThingLine::of($other)];
                }
            }
            usort($near, static fn (array $a, array $b): int => [$a[0], $a[1]->id] <=> [$b[0], $b[1]->id]);
            $alike[$row->int('item_id')] = array_map(static fn (array $one): ThingLine => $one[1], \array_slice($near, 0, self::MOST));
        }

        return array_filter($alike);
    }

    /**
     * @param array<string, int|string> $asked
     *
     * @return list<Row>
     */
    private function rows(string $which, array $asked): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS." FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE $which",
            $asked,
        ), static fn (Row $row): Row => $row);
    }
}
