<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Rainbow order: family by family, within a family along the hue; neutrals last, from light to dark. */
final class RainbowOrder
{
    /** So that pinks and reds, which lie on both sides of hue 0, come in one run. */
    private const FROM_PINK = 25;

    /** Returns below 0, 0 or above 0 as $a comes before, with, or after $b. */
    public static function compare(Srgb $a, Srgb $b): int
    {
        return self::key($a) <=> self::key($b);
    }

    /**
     * Returns things in the order of their colours, those of one colour as they came.
     *
     * @template T
     *
     * @param list<T> $things
     * @param callable(T): Srgb $colour
     *
     * @return list<T>
     */
    public static function sorted(array $things, callable $colour): array
    {
        $keys = array_map(static fn (mixed $thing): array => self::key($colour($thing)), $things);
        asort($keys);

        return array_map(static fn (int $at): mixed => $things[$at], array_keys($keys));
    }

    /** @return array{int, float, float} */
    private static function key(Srgb $colour): array
    {
        $lab = Lab::of($colour);
        $family = Family::of($colour);
        $hue = OkLch::of($colour)->h;
        if (Family::Neutral === $family || Family::Brown === $family) {
            return [$family->rank(), -$lab->l, $hue];
        }

        return [$family->rank(), round(fmod($hue + self::FROM_PINK, 360), 1), -$lab->l];
    }
}
