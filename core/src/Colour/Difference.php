<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Colour difference CIEDE2000 (ISO/CIE 11664-6), with kL = kC = kH = 1, after Sharma, Wu and Dalal (2005). */
final class Difference
{
    /** ΔE00 that nobody sees on a card (common practice, no source). */
    public const UNSEEN = 2.0;

    /** ΔE00 up to which two papers pass for the same colour from card to card (common practice, no source). */
    public const PASSES = 5.0;
    private const TWENTY_FIVE_TO_THE_SEVENTH = 6103515625.0;

    /** Up to this difference colours are near each other (judged by eye on cardstock; common practice, no source). */
    private const NEAR = 14.0;

    /** The weight of a difference in lightness is at most this (at L* 0 and 100), so that a larger one alone tells colours apart. */
    private const MOST_FOR_LIGHTNESS = 1.75;

    /** Whether one would be taken for a shade of the other. */
    public static function isNear(Lab $one, Lab $other): bool
    {
        return self::isWithin(self::NEAR, $one, $other);
    }

    /** Whether ΔE00 between two colours is at most so large; told without the whole formula where lightness alone is too far apart. */
    public static function isWithin(float $most, Lab $one, Lab $other): bool
    {
        return abs($one->l - $other->l) <= $most * self::MOST_FOR_LIGHTNESS && self::between($one, $other) <= $most;
    }

    /** Returns ΔE00 between two colours. */
    public static function between(Lab $one, Lab $other): float
    {
        $g = self::chromaShift(($one->chroma() + $other->chroma()) / 2);
        [$a1, $a2] = [(1 + $g) * $one->a, (1 + $g) * $other->a];
        [$c1, $c2] = [hypot($a1, $one->b), hypot($a2, $other->b)];
        [$h1, $h2] = [self::hue($a1, $one->b), self::hue($a2, $other->b)];

        $deltaL = $other->l - $one->l;
        $deltaC = $c2 - $c1;
        $deltaH = 2 * sqrt($c1 * $c2) * sin(deg2rad(self::hueStep($h1, $h2, $c1 * $c2) / 2));

        $meanL = ($one->l + $other->l) / 2;
        $meanC = ($c1 + $c2) / 2;
        $meanH = self::meanHue($h1, $h2, $c1 * $c2);
        $t = 1 - 0.17 * cos(deg2rad($meanH - 30)) + 0.24 * cos(deg2rad(2 * $meanH));
        $t += 0.32 * cos(deg2rad(3 * $meanH + 6)) - 0.20 * cos(deg2rad(4 * $meanH - 63));
        $lightness = $deltaL / (1 + 0.015 * ($meanL - 50) ** 2 / sqrt(20 + ($meanL - 50) ** 2));
        $chroma = $deltaC / (1 + 0.045 * $meanC);
        $hue = $deltaH / (1 + 0.015 * $meanC * $t);
        $seventh = $meanC ** 7;
        $rotation = -sin(deg2rad(60 * exp(-(($meanH - 275) / 25) ** 2))) * 2 * sqrt($seventh / ($seventh + self::TWENTY_FIVE_TO_THE_SEVENTH));

        return sqrt(max(0.0, $lightness ** 2 + $chroma ** 2 + $hue ** 2 + $rotation * $chroma * $hue));
    }

    private static function chromaShift(float $meanChroma): float
    {
        $seventh = $meanChroma ** 7;

        return 0.5 * (1 - sqrt($seventh / ($seventh + self::TWENTY_FIVE_TO_THE_SEVENTH)));
    }

    private static function hue(float $a, float $b): float
    {
        return 0.0 === $a && 0.0 === $b ? 0.0 : fmod(rad2deg(atan2($b, $a)) + 360, 360);
    }

    private static function hueStep(float $h1, float $h2, float $product): float
    {
        $step = $h2 - $h1;

        return match (true) {
            0.0 === $product => 0.0,
            $step > 180 => $step - 360,
            $step < -180 => $step + 360,
            default => $step,
        };
    }

    private static function meanHue(float $h1, float $h2, float $product): float
    {
        $sum = $h1 + $h2;

        return match (true) {
            0.0 === $product => $sum,
            abs($h1 - $h2) <= 180 => $sum / 2,
            $sum < 360 => ($sum + 360) / 2,
            default => ($sum - 360) / 2,
        };
    }
}
