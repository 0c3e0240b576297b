<?php

declare(strict_types=1);

namespace App\Platform\Web;

/** What drawings are written with. */
final class Svg
{
    public static function escape(string $text): string
    {
        return htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');
    }

    /** A rectangle drawn in by so much on each side, never thinner than a pixel. */
    public static function rectangle(string $class, float $x, float $y, float $width, float $height, float $inset = 0): string
    {
        return \sprintf(
            '<rect class="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="2"/>',
            $class,
            $x + $inset,
            $y + $inset,
            max(1, $width - 2 * $inset),
            max(1, $height - 2 * $inset),
        );
    }
}
