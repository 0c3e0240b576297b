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

    /** Returns the family of a colour; the limits are judged by eye on cardstock (common practice, no source). */
    public static function of(Lab $lab): self
    {
        $hue = $lab->hue();
        $chroma = $lab->chroma();
        if ($chroma < 9 || ($lab->l < 18 && $chroma < 14)) {
            return self::Neutral;
        }
        if ($hue >= 40 && $hue < 92 && $lab->l < 62 && $chroma < 48) {
            return self::Brown;
        }
        if ($lab->l > 58 && ($hue >= 330 || $hue < 32)) {
            return self::Pink;
        }

        return match (true) {
            $hue < 45, $hue >= 350 => self::Red,
            $hue < 72 => self::Orange,
            $hue < 106 => self::Yellow,
            $hue < 195 => self::Green,
            $hue < 293 => self::Blue,
            default => self::Violet,
        };
    }

    /** Returns the family's place in rainbow order, from 0. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
