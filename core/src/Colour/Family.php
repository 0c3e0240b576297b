<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** The families that cardstock is sorted into, in rainbow order with browns and neutrals last (common practice, no source). */
enum Family: string
{
    case Pink = 'pink';
    case Red = 'red';
    case Orange = 'orange';
    case Yellow = 'yellow';
    case Green = 'green';
    case Blue = 'blue';
    case Violet = 'violet';
    case Brown = 'brown';
    case Neutral = 'neutral';

    /**
     * Returns the family of a colour; the limits are judged by eye on cardstock (common practice, no source). Hues are those of
     * OKLCh, in which a blue stays blue however pure or light it is.
     */
    public static function of(Srgb $colour): self
    {
        $lab = Lab::of($colour);
        $hue = OkLch::of($colour)->h;
        $isDark = $lab->l < 62;

        return match (true) {
            self::isNeutral($lab) => self::Neutral,
            self::isBrown($lab, $hue) => self::Brown,
            self::isPink($lab, $hue) => self::Pink,
            $hue < 35, $hue >= 340 => self::Red,
            $hue < 75 => self::Orange,
            $hue < ($isDark ? 98 : 112) => self::Yellow,
            $hue < 192 => self::Green,
            $hue < 282 => self::Blue,
            default => self::Violet,
        };
    }

    private static function isNeutral(Lab $lab): bool
    {
        $chroma = $lab->chroma();

        return $chroma < 9 || ($chroma < 14 && ($lab->l < 18 || $lab->l > 90));
    }

    private static function isBrown(Lab $lab, float $hue): bool
    {
        $chroma = $lab->chroma();

        return $hue >= 35 && $hue < 92 && (($lab->l < 62 && $chroma < 50) || ($lab->l < 78 && $chroma < 30));
    }

    private static function isPink(Lab $lab, float $hue): bool
    {
        return ($lab->l > 62 && ($hue >= 340 || $hue < 34)) || ($lab->l > 50 && $hue < 12) || ($lab->l > 40 && $hue >= 340);
    }

    /** Returns the family's place in rainbow order, from 0. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
