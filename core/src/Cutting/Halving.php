<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Measure\Length;

/**
 * Halves of ISO sheets count as the next size. ISO 216 rounds each halved side down, so that two A5 lie on an A4 with one millimetre
 * over: nobody trims half a millimetre off each. Such a sheet is planned without that millimetre, and the pieces then take it up. All
 * lengths in ticks.
 */
final class Halving
{
    /** The sides of ISO 216 that are one millimetre more than two of the next size, in millimetres. */
    private const ODD_SIDES = [1189, 841, 297, 105];

    /**
     * Returns the stock as it is planned for these pieces: without the odd millimetre where one of them is a half of it, or two.
     *
     * @param array<Piece> $pieces
     */
    public static function planned(Stock $stock, array $pieces): Stock
    {
        $sides = array_merge(...array_map(static fn (Piece $piece): array => [$piece->width, $piece->height], array_values($pieces)));
        $width = self::withoutOdd($stock->width, $sides);
        $height = self::withoutOdd($stock->height, $sides);

        return $width === $stock->width && $height === $stock->height
            ? $stock
            : new Stock($stock->id, $width, $height, $stock->quantity, $stock->paper, $stock->isSheet);
    }

    /**
     * Returns the plan of the true sheet; null where a piece would take up what it must not, so that the true size is to be planned.
     */
    public static function onTrueSheet(SheetPart $planned, Stock $true): ?SheetPart
    {
        $root = new SheetPart(0, 0, $true->width, $true->height);

        return self::fill($root, $planned) ? $root : null;
    }

    /** @param list<int> $sides */
    private static function withoutOdd(int $side, array $sides): int
    {
        $less = $side - Length::TICKS_PER_MILLIMETRE;

        return self::isOdd($side) && [] !== array_intersect([intdiv($less, 2), $less], $sides) ? $less : $side;
    }

    private static function isOdd(int $side): bool
    {
        return \in_array($side, array_map(static fn (int $mm): int => $mm * Length::TICKS_PER_MILLIMETRE, self::ODD_SIDES), true);
    }

    private static function fill(SheetPart $part, SheetPart $planned): bool
    {
        [$first, $second] = [$planned->first, $planned->second];
        if (null === $first || null === $second) {
            [$part->piece, $part->isTurned] = [$planned->piece, $planned->isTurned];

            return null === $planned->piece || (self::takesUp($part->width, $planned->width) && self::takesUp($part->height, $planned->height));
        }
        $alongX = $planned->isCutAlongX;
        [$one, $other] = $alongX ? [$first->width, $second->width] : [$first->height, $second->height];
        $more = $alongX ? $part->width - $planned->width : $part->height - $planned->height;
        foreach ($one === $other ? [intdiv($more, 2)] : [0, $more] as $toFirst) {
            $part->clear();
            $part->cut($alongX, $one + $toFirst);
            if (null !== $part->first && null !== $part->second && self::fill($part->first, $first) && self::fill($part->second, $second)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a piece may be so large instead: a half by half a millimetre, two of them by one. */
    private static function takesUp(int $side, int $planned): bool
    {
        $more = $side - $planned;

        return 0 === $more
            || (self::isOdd($side) && Length::TICKS_PER_MILLIMETRE === $more)
            || (self::isOdd(2 * $side) && Length::TICKS_PER_MILLIMETRE === 2 * $more);
    }
}
