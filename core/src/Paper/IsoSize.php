<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Size;

/** The A series of ISO 216: A0 is 841 × 1189 mm, and each next size is the last one halved across, whole millimetres kept. */
final class IsoSize
{
    /** Returns the size An upright, n from 0 to 10. */
    public static function a(int $n): Size
    {
        [$width, $height] = [841, 1189];
        for ($i = 0; $i < $n; ++$i) {
            [$width, $height] = [intdiv($height, 2), $width];
        }

        return Size::ofMillimetres($width, $height);
    }
}
