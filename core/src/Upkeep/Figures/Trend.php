<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Figures;

/** Whether a share became better: the last half of its months against the first, and only where chance alone would seldom make that difference. */
final class Trend
{
    /** Two-sided 90 %. */
    private const Z = 1.644854;

    /**
     * Returns 1 where it rose, -1 where it fell, 0 where nobody can tell (test of two proportions with a common share, from memory).
     *
     * @param list<Proportion> $months the oldest first
     */
    public static function of(array $months): int
    {
        $half = intdiv(\count($months), 2);
        [$before, $after] = [self::sum(\array_slice($months, 0, $half)), self::sum(\array_slice($months, -$half, $half))];
        if (0 === $half || 0 === $before->whole || 0 === $after->whole) {
            return 0;
        }
        $common = ($before->part + $after->part) / ($before->whole + $after->whole);
        $error = sqrt($common * (1 - $common) * (1 / $before->whole + 1 / $after->whole));
        $difference = $after->part / $after->whole - $before->part / $before->whole;

        return abs($difference) <= self::Z * $error || 0.0 === $error ? 0 : ($difference <=> 0);
    }

    /** @param list<Proportion> $shares */
    private static function sum(array $shares): Proportion
    {
        return new Proportion(
            array_sum(array_map(static fn (Proportion $share): int => $share->part, $shares)),
            array_sum(array_map(static fn (Proportion $share): int => $share->whole, $shares)),
        );
    }
}
