<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Size;

/** Envelopes: the C sizes and DL of ISO 269, and the sizes of the US trade (common practice, no source). */
enum Envelope: string
{
    case C7 = 'C7';
    case C6 = 'C6';
    case Dl = 'DL';
    case C5 = 'C5';
    case C4 = 'C4';
    case UsA2 = 'A2';
    case UsA6 = 'US A6';
    case UsA7 = 'A7';
    case Slimline = 'slimline';
    case Square5 = '5 in square';
    case Square5Half = '5 1/2 in square';
    case Square6Half = '6 1/2 in square';
    case Number10 = 'No. 10';

    public function size(): Size
    {
        return match ($this) {
            self::C7 => Size::ofMillimetres(81, 114),
            self::C6 => Size::ofMillimetres(114, 162),
            self::Dl => Size::ofMillimetres(110, 220),
            self::C5 => Size::ofMillimetres(162, 229),
            self::C4 => Size::ofMillimetres(229, 324),
            self::UsA2 => Size::ofSixteenths(70, 92),
            self::UsA6 => Size::ofSixteenths(76, 104),
            self::UsA7 => Size::ofSixteenths(84, 116),
            self::Slimline => Size::ofSixteenths(62, 142),
            self::Square5 => Size::ofSixteenths(80, 80),
            self::Square5Half => Size::ofSixteenths(88, 88),
            self::Square6Half => Size::ofSixteenths(104, 104),
            self::Number10 => Size::ofSixteenths(66, 152),
        };
    }
}
