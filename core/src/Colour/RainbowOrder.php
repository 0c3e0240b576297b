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
