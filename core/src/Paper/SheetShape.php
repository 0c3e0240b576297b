<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;

/** Shapes of scraps as people write them: `3 × 6`, or `6 × 8 without 3 × 5` where a corner is missing. */
final class SheetShape
{
    private const WITHOUT = '/\s+(?:without|less|minus)\s+/iu';

    /**
     * Returns a sheet of which only size and outline are said; a corner that is missing is the upper right one, however it is turned.
     *
     * @throws InvalidLength if a size cannot be read, or the corner is as large as the whole
     */
    public static function read(string $text, LengthUnit $unit): Sheet
    {
        $parts = preg_split(self::WITHOUT, trim($text), 2) ?: [];
        $size = SheetSize::read($parts[0] ?? '', $unit);
        if (!isset($parts[1])) {
            return new Sheet($size);
        }
        // The corner is in the unit of the whole, and may be small.
        $corner = SheetSize::ofDie($parts[1], $unit);
        if ($corner->width->ticks >= $size->width->ticks || $corner->height->ticks >= $size->height->ticks) {
            throw InvalidLength::cornerIsTooLarge();
        }

        return new Sheet($size, outline: self::withoutCorner($size, $corner));
    }

    /** Returns the outline of a rectangle whose upper right corner is cut away. */
    public static function withoutCorner(Size $size, Size $corner): Outline
    {
        [$width, $height] = [$size->width->ticks, $size->height->ticks];
        [$left, $below] = [$width - $corner->width->ticks, $corner->height->ticks];

        return Outline::of([[0, 0], [$left, 0], [$left, $below], [$width, $below], [$width, $height], [0, $height]]);
    }
}
