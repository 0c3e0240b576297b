<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Says a colour in words: how light, how strong, which family; limits by eye on cardstock (common practice, no source). */
final class Naming
{
    /** Returns words such as “dark greyish blue”, “light pink” or “off-white”. */
    public static function inWords(Srgb $colour): string
    {
        $lab = Lab::of($colour);
        $family = Family::of($colour);
        if (Family::Neutral === $family) {
            return self::neutral($lab);
        }
        $light = match (true) {
            $lab->l >= 85 => 'very light ',
            $lab->l >= 70 => 'light ',
            $lab->l < 22 => 'very dark ',
            $lab->l < 40 => 'dark ',
            default => '',
        };
        $strong = match (true) {
            $lab->chroma() < 22 && Family::Brown !== $family => 'greyish ',
            $lab->chroma() > 62 => 'bright ',
            default => '',
        };

        return $light.$strong.$family->value;
    }

    private static function neutral(Lab $lab): string
    {
        $tint = $lab->chroma() < 3 ? '' : ($lab->hue() > 30 && $lab->hue() < 130 ? 'warm ' : 'cool ');

        return match (true) {
            $lab->l >= 97 && $lab->chroma() < 3 => 'white',
            $lab->l >= 92 => 'off-white',
            $lab->l >= 72 => $tint.'light grey',
            $lab->l >= 42 => $tint.'grey',
            $lab->l >= 18 => $tint.'dark grey',
            default => 'black',
        };
    }
}
