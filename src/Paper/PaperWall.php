<?php

declare(strict_types=1);

namespace App\Paper;

use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\RainbowOrder;
use Lottel\Core\Colour\Srgb;

/** All paper laid out in groups of columns: by family of colour in rainbow order, by collection, by maker, or by the unit it lies in. */
final class PaperWall
{
    private const PATTERNED = 'patterned';
    private const NONE = ['collection' => 'no collection', 'maker' => 'unknown maker', 'place' => 'nowhere'];

    /**
     * @param list<PaperRow> $rows
     *
     * @return array<string, list<PaperColumn>> columns by group
     */
    public static function laidOut(array $rows, PaperOrder $order): array
    {
        $groups = [];
        foreach ($rows as $row) {
            $group = self::group($row, $order);
            $key = null === $row->colour ? '#'.$row->id : $row->label();
            $groups[$group][$key] ??= new PaperColumn(null === $row->colour ? $row->name : $row->label(), $row->colour);
            $groups[$group][$key]->add($row);
        }
        $laid = array_map(static function (array $columns): array {
            $columns = array_values($columns);
            usort($columns, self::compare(...));

            return $columns;
        }, $groups);
        uksort($laid, static fn (string $a, string $b): int => PaperOrder::Colour === $order ? self::rank($a) <=> self::rank($b) : strnatcasecmp($a, $b));

        return $laid;
    }

    private static function group(PaperRow $row, PaperOrder $order): string
    {
        return match ($order) {
            PaperOrder::Colour => null === $row->colour ? self::PATTERNED : Family::of(Srgb::ofHex($row->colour))->value,
            PaperOrder::Collection => '' === $row->collection ? self::NONE['collection'] : $row->collection,
            PaperOrder::Maker => '' === $row->maker ? self::NONE['maker'] : $row->maker,
            PaperOrder::Place => 1 === preg_match('/^[A-Z]+/', $row->address ?? '', $m) ? $m[0] : self::NONE['place'],
        };
    }

    private static function rank(string $group): int
    {
        return Family::tryFrom($group)?->rank() ?? \PHP_INT_MAX;
    }

    private static function compare(PaperColumn $a, PaperColumn $b): int
    {
        [$one, $other] = [$a->srgb(), $b->srgb()];

        if (null === $one || null === $other) {
            return (null === $one) <=> (null === $other) ?: strnatcasecmp($a->label, $b->label);
        }

        return RainbowOrder::compare($one, $other);
    }
}
