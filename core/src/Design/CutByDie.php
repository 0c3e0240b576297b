<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\SheetSize;

/** Whether a die cuts a size, as its record says which it cuts. */
final class CutByDie
{
    /** A die is as good as exact when it is off by no more than this (common practice, no source). */
    private const NEAR = Length::TICKS_PER_INCH / 16;

    /** @param string $sizes such as `4 1/4 × 5 1/2, 3 × 4`; what is no size counts for nothing */
    public static function is(string $sizes, Sides $wanted, LengthUnit $unit): bool
    {
        foreach (preg_split('/\s*[,;]\s*/u', $sizes, -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $size) {
            try {
                $cut = Sides::of(SheetSize::read($size, $unit));
            } catch (InvalidLength) {
                continue;
            }
            if (self::isNear($cut, $wanted) || self::isNear($cut->turned(), $wanted)) {
                return true;
            }
        }

        return false;
    }

    private static function isNear(Sides $one, Sides $other): bool
    {
        return abs($one->width - $other->width) <= self::NEAR && abs($one->height - $other->height) <= self::NEAR;
    }
}
