<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\IsoSize;

/** Finished sizes of cards by their names in the trade, upright (common practice, no source; A6 is that of ISO 216). */
enum CardSize: string
{
    case A2 = 'A2';
    case A6 = 'A6';
    case Five = '5 × 7';
    case Slimline = 'slimline';
    case SquareSmall = '4¼ in square';
    case Square5 = '5 in square';
    case Square5Half = '5½ in square';
    case Square6 = '6 in square';

    public function sides(): Sides
    {
        return Sides::of(match ($this) {
            self::A2 => Size::ofSixteenths(68, 88),
            self::A6 => IsoSize::a(6),
            self::Five => Size::ofSixteenths(80, 112),
            self::Slimline => Size::ofSixteenths(56, 136),
            self::SquareSmall => Size::ofSixteenths(68, 68),
            self::Square5 => Size::ofSixteenths(80, 80),
            self::Square5Half => Size::ofSixteenths(88, 88),
            self::Square6 => Size::ofSixteenths(96, 96),
        });
    }

    /** Returns the name of a finished size, upright or lying; null where it has none. */
    public static function of(Sides $finished): ?self
    {
        foreach (self::cases() as $size) {
            if ($size->sides()->equals($finished) || $size->sides()->turned()->equals($finished)) {
                return $size;
            }
        }

        return null;
    }
}
