<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/**
 * Compares products of whole numbers whose values need more than 64 bits: exactly, as long as both first factors stay below 2^62
 * and both second ones below 2^31; beyond that by floating point, where what differs by less than a trillionth counts as equal.
 */
final class Exact
{
    private const HALF = 31;
    private const MASK = (1 << self::HALF) - 1;
    private const SLACK = 1e-12;

    /** Returns below 0, 0 or above 0 as $a × $b is less than, equal to or more than $c × $d. */
    public static function compare(int|float $a, int|float $b, int|float $c, int|float $d): int
    {
        if (\is_int($a) && \is_int($b) && \is_int($c) && \is_int($d) && self::areSmall($a, $c, 62) && self::areSmall($b, $d, self::HALF)) {
            return self::product($a, $b) <=> self::product($c, $d);
        }
        [$one, $other] = [(float) $a * (float) $b, (float) $c * (float) $d];

        return abs($one - $other) <= self::SLACK * max(abs($one), abs($other)) ? 0 : $one <=> $other;
    }

    private static function areSmall(int $one, int $other, int $bits): bool
    {
        return max(abs($one), abs($other)) < 1 << $bits;
    }

    /** @return array{int, int} the upper part and the lower 31 bits, so that products compare as pairs do */
    private static function product(int $a, int $b): array
    {
        $low = ($a & self::MASK) * $b;

        return [($a >> self::HALF) * $b + ($low >> self::HALF), $low & self::MASK];
    }
}
