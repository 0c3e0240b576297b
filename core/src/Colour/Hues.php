<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Angles between hues, in degrees. */
final class Hues
{
    /** Returns the angle between two hues, 0 to 180. */
    public static function between(float $one, float $other): float
    {
        $angle = fmod(abs($one - $other), 360);

        return min($angle, 360 - $angle);
    }
}
