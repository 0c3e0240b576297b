<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Rainbow order: family by family, within a family along the hue; neutrals last, from light to dark. */
final class RainbowOrder
{
    /** Returns below 0, 0 or above 0 as $a comes before, with, or after $b. */
    public static function compare(Srgb $a, Srgb $b): int
    {
        return self::key($a) <=> self::key($b);
    }

    /** @return array{int, float, float} */
    private static function key(Srgb $colour): array
    {
        $lab = Lab::of($colour);
        $family = Family::of($lab);
        if (Family::Neutral === $family || Family::Brown === $family) {
            return [$family->rank(), -$lab->l, $lab->hue()];
        }

        return [$family->rank(), round(fmod($lab->hue() + 30, 360), 1), -$lab->l];
    }
}
