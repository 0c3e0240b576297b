<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\IsoSize;

/** Finished sizes of cards by their names in the trade, upright (common practice, no source; A5, A6 and A7 are those of ISO 216). */
enum CardSize: string
{
    case A2 = 'A2';
    case A5 = 'A5';
    case A6 = 'A6';
    case A7 = 'A7';
    case Dl = 'DL';
    case Five = '5 × 7';
    case Slimline = 'slimline';
    case SquareSmall = '4¼ in square';
    case Square5 = '5 in square';
    case Square5Half = '5½ in square';
    case Square6 = '6 in square';
    case Square125 = '125 mm square';
    case Square150 = '150 mm square';

    /**
     * Returns those that are usual where a room measures so.
     *
     * @return non-empty-list<self> the most usual one first
     */
    public static function usualIn(LengthUnit $unit): array
    {
        return LengthUnit::Inch === $unit
            ? [self::A2, self::A6, self::Five, self::Slimline, self::SquareSmall, self::Square5, self::Square5Half, self::Square6]
            : [self::A6, self::A5, self::A7, self::Dl, self::Square125, self::Square150];
    }

    /**
     * Returns the size that words speak of: its own name, or that of the envelope that it goes into (ISO 269: C5 takes A5, C6 takes A6, C7
     * takes A7, DL a third of A4); null where they speak of none.
     */
    public static function named(string $text): ?self
    {
        if (1 !== preg_match('/(?<![\p{L}\d])(A2|A5|A6|A7|DL|C5|C6|C7|slimline)(?![\p{L}\d])/iu', $text, $m)) {
            return null;
        }

        return match (strtoupper($m[1])) {
            'C5' => self::A5,
            'C6' => self::A6,
            'C7' => self::A7,
            'SLIMLINE' => self::Slimline,
            default => self::from(strtoupper($m[1])),
        };
    }

    public function sides(): Sides
    {
        return Sides::of(match ($this) {
            self::A2 => Size::ofSixteenths(68, 88),
            self::A5 => IsoSize::a(5),
            self::A6 => IsoSize::a(6),
            self::A7 => IsoSize::a(7),
            self::Dl => Size::ofMillimetres(99, 210),
            self::Five => Size::ofSixteenths(80, 112),
            self::Slimline => Size::ofSixteenths(56, 136),
            self::SquareSmall => Size::ofSixteenths(68, 68),
            self::Square5 => Size::ofSixteenths(80, 80),
            self::Square5Half => Size::ofSixteenths(88, 88),
            self::Square6 => Size::ofSixteenths(96, 96),
            self::Square125 => Size::ofMillimetres(125, 125),
            self::Square150 => Size::ofMillimetres(150, 150),
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
