<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

/** Where numbers fall apart into small and large ones: Otsu, “A threshold selection method from gray-level histograms” (1979); from memory. */
final class Threshold
{
    private const MOST = 441;

    /** Nothing that differs less is told apart. */
    private const LEAST = 18;

    /** @param list<int> $values from 0 to 441, the largest distance of two colours */
    public static function of(array $values): int
    {
        $counts = array_fill(0, self::MOST + 1, 0);
        foreach ($values as $value) {
            ++$counts[min(self::MOST, $value)];
        }
        $all = array_sum($values);
        $below = $sum = 0;
        $best = [self::LEAST, -1.0];
        foreach ($counts as $value => $count) {
            $below += $count;
            $sum += $value * $count;
            $above = \count($values) - $below;
            if (0 === $below || 0 === $above) {
                continue;
            }
            $spread = $below * $above * ($sum / $below - ($all - $sum) / $above) ** 2;
            $best = $spread > $best[1] ? [$value, $spread] : $best;
        }

        return max(self::LEAST, $best[0]);
    }
}
