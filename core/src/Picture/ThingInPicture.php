<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

use Lottel\Core\Colour\Lab;

/**
 * Finds the thing that was touched in a picture. From the touched pixel it spreads over its neighbours in the order of the largest
 * step of colour (CIE76) that has to be taken to come to them, and counts how much it covers at each height of step. A thing is what
 * stays nearly the same size over the most heights, before its edge gives way: the idea of maximally stable regions (Matas et al.,
 * “Robust wide baseline stereo from maximally stable extremal regions”, 2002; from memory). A guess that a person looks at.
 */
final class ThingInPicture
{
    private const HIGHEST = 100;
    private const SEED_SHARE = 0.5;
    private const STAYS = 1.12;
    private const LEAST_SHARE = 0.002;
    private const MOST_SHARE = 0.6;
    private const USUAL_SIDE = 160;
    private const OUTLIERS = 0.01;

    /** Returns the box around what lies at a point in thousandths; a box of usual size where nothing stands out. */
    public static function around(Raster $picture, int $x, int $y): Spot
    {
        $heights = self::heights($picture, $picture->pixelAt($x, $y));
        $height = self::mostStable($heights);
        $found = null === $height ? null : self::box($picture, array_keys(array_filter($heights, static fn (int $one): bool => $one <= $height)));
        $half = intdiv(self::USUAL_SIDE, 2);

        return null === $found || $found->width * $found->height > self::MOST_SHARE * Spot::WHOLE ** 2
            ? Spot::between($x - $half, $y - $half, $x + $half, $y + $half)
            : $found;
    }

    /** @param list<int> $covered pixels */
    private static function box(Raster $picture, array $covered): Spot
    {
        [$left, $right] = self::extent(array_map(static fn (int $pixel): int => $pixel % $picture->width, $covered));
        [$top, $bottom] = self::extent(array_map(static fn (int $pixel): int => intdiv($pixel, $picture->width), $covered));
        $part = static fn (int $pixel, int $side): int => (int) round($pixel * Spot::WHOLE / $side);

        return Spot::between(
            $part($left, $picture->width),
            $part($top, $picture->height),
            $part($right + 1, $picture->width),
            $part($bottom + 1, $picture->height),
        );
    }

    /** @return list<int> for each pixel the height of the highest step on the way to it that has the lowest one */
    private static function heights(Raster $picture, int $seed): array
    {
        $lab = $picture->inLab();
        $heights = array_fill(0, \count($lab), self::HIGHEST + 1);
        $heights[$seed] = 0;
        $waiting = [[$seed]];
        for ($height = 0; $height <= self::HIGHEST; ++$height) {
            while (null !== $pixel = array_pop($waiting[$height])) {
                foreach (self::neighbours($pixel, $picture) as $next) {
                    $step = max($height, self::step($lab, $pixel, $next, $seed));
                    if ($step < $heights[$next]) {
                        $heights[$next] = $step;
                        $waiting[$step][] = $next;
                    }
                }
            }
            $waiting[$height + 1] ??= [];
        }

        return array_values($heights);
    }

    /** @param list<Lab> $lab */
    private static function step(array $lab, int $from, int $to, int $seed): int
    {
        $difference = max(self::difference($lab[$from], $lab[$to]), self::SEED_SHARE * self::difference($lab[$seed], $lab[$to]));

        return min(self::HIGHEST, (int) $difference);
    }

    private static function difference(Lab $one, Lab $other): float
    {
        return sqrt(($one->l - $other->l) ** 2 + ($one->a - $other->a) ** 2 + ($one->b - $other->b) ** 2);
    }

    /** @return list<int> */
    private static function neighbours(int $pixel, Raster $picture): array
    {
        $column = $pixel % $picture->width;

        return array_values(array_filter([
            $column > 0 ? $pixel - 1 : -1,
            $column < $picture->width - 1 ? $pixel + 1 : -1,
            $pixel - $picture->width,
            $pixel + $picture->width < \count($picture->pixels) ? $pixel + $picture->width : -1,
        ], static fn (int $next): bool => $next >= 0));
    }

    /**
     * Returns the height at which the covered part stays nearly as large for longest; null where it never is of a thing's size.
     *
     * @param list<int> $heights
     */
    private static function mostStable(array $heights): ?int
    {
        $covers = self::covers($heights);
        $all = \count($heights);
        [$best, $longest] = [null, 0];
        for ($height = 0; $height <= self::HIGHEST; ++$height) {
            if ($covers[$height] < self::LEAST_SHARE * $all || $covers[$height] > self::MOST_SHARE * $all) {
                continue;
            }
            $until = $height;
            while ($until < self::HIGHEST && $covers[$until + 1] <= self::STAYS * $covers[$height]) {
                ++$until;
            }
            if ($until - $height + 1 > $longest) {
                [$best, $longest] = [$until, $until - $height + 1];
            }
        }

        return $best;
    }

    /**
     * @param list<int> $heights
     *
     * @return list<int> how many pixels are covered, by height
     */
    private static function covers(array $heights): array
    {
        $at = array_count_values($heights);
        $covers = [];
        $sum = 0;
        for ($height = 0; $height <= self::HIGHEST; ++$height) {
            $sum += $at[$height] ?? 0;
            $covers[] = $sum;
        }

        return $covers;
    }

    /**
     * @param list<int> $places
     *
     * @return array{int, int} from where to where they are, but for the few that lie apart
     */
    private static function extent(array $places): array
    {
        sort($places);
        $off = (int) floor(\count($places) * self::OUTLIERS);

        return [$places[$off], $places[\count($places) - 1 - $off]];
    }
}
