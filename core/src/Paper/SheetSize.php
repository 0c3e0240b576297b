<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;

/** Sizes of sheets as people write them: `8 1/2 × 11`, `12x12`, `letter`, `A4`. */
final class SheetSize
{
    private const MOST_MILLIMETRES = 3000;

    /** No sheet is so small in millimetres: such bare numbers speak of inches, or of something else (common practice, no source). */
    private const LEAST_BARE_MILLIMETRES = 25;

    /** A name that speaks of a sheet of so few bare millimetres speaks of centimetres or inches (common practice, no source). */
    private const LEAST_BARE_IN_A_NAME = 60;

    /** What a die cuts may be smaller. */
    private const LEAST_BARE_OF_A_DIE = 15;

    /** No sheet is so large in inches: such bare numbers speak of millimetres (common practice, no source). */
    private const MOST_BARE_INCHES = 60;
    private const SIDE = '(?:\d{1,4}(?:[.,]\d{1,3})?(?:[ -]\d{1,2}\/\d{1,2}|\s?[¼½¾⅛⅜⅝⅞])?|\d{1,2}\/\d{1,2}|[¼½¾⅛⅜⅝⅞])';
    private const UNIT = '\s?(?:in|inch|inches|mm|cm|["″”])?';
    private const IN_TEXT = '/(?<![\d.\/])('.self::SIDE.self::UNIT.'\s*(?:[×x*]|\bby\b)\s*'.self::SIDE.self::UNIT.')(?![\d.\/])/iu';

    /**
     * Reads a size; bare numbers are in the unit that is given.
     *
     * @throws InvalidLength if it cannot be read, a side is nothing or over 3 m, or bare numbers would be absurd in that unit, such as
     *                       `12 × 12` in millimetres or `210 × 297` in inches
     */
    public static function read(string $text, LengthUnit $unit): Size
    {
        return self::sized($text, $unit, self::LEAST_BARE_MILLIMETRES);
    }

    /**
     * Reads the size of what a die cuts, which may be small.
     *
     * @throws InvalidLength as read() does
     */
    public static function ofDie(string $text, LengthUnit $unit): Size
    {
        return self::sized($text, $unit, self::LEAST_BARE_OF_A_DIE);
    }

    /** @throws InvalidLength */
    private static function sized(string $text, LengthUnit $unit, int $leastBare): Size
    {
        $named = self::named(trim($text));
        if (null !== $named) {
            return $named;
        }
        $sides = preg_split('/\s*(?:[×x*]|\bby\b)\s*/iu', trim($text)) ?: [];
        if (2 !== \count($sides)) {
            throw InvalidLength::isNoSize($text);
        }
        // A unit behind the second side is that of both.
        $said = static fn (string $side): string => 1 === preg_match('/([a-z"″”]+)$/iuD', $side, $m) ? ' '.$m[1] : '';
        $of = '' === $said($sides[0]) ? $said($sides[1]) : '';
        $size = new Size(Length::parse($sides[0].$of, $unit), Length::parse($sides[1], $unit));
        $shorter = min($size->width->ticks, $size->height->ticks);
        $longer = max($size->width->ticks, $size->height->ticks);
        if ($shorter > 0 && '' === $said($sides[0]).$said($sides[1]) && self::isAbsurd(Length::ofTicks($longer), $unit, $leastBare)) {
            throw InvalidLength::isAbsurd(trim($text), $unit);
        }
        if (0 === $shorter || $longer > self::MOST_MILLIMETRES * Length::TICKS_PER_MILLIMETRE) {
            throw InvalidLength::isNoSize($text);
        }

        return $size;
    }

    /** Whether the longer side of a sheet cannot be meant in a unit. */
    private static function isAbsurd(Length $side, LengthUnit $unit, int $leastBare): bool
    {
        return LengthUnit::Millimetre === $unit ? $side->millimetres() < $leastBare : $side->inches() > self::MOST_BARE_INCHES;
    }

    /** Returns the size that a name speaks of, such as that of “Petrel cardstock 12 × 12”; null where it speaks of none. */
    public static function inName(string $name, LengthUnit $unit): ?Size
    {
        if (1 === preg_match(self::IN_TEXT, $name, $m)) {
            try {
                return self::sized($m[1], $unit, self::LEAST_BARE_IN_A_NAME);
            } catch (InvalidLength) {
                return null;
            }
        }

        return 1 === preg_match('/(?<![\p{L}\d])(letter|a[3-6])(?![\p{L}\d])/iu', $name, $m) ? self::named($m[1]) : null;
    }

    /**
     * Returns the first size that stands in a text, and the words before and after it; null where there is none.
     *
     * @return array{Size, string, string}|null
     *
     * @throws InvalidLength if a side is nothing or over 3 m
     */
    public static function cutOutOf(string $text, LengthUnit $unit): ?array
    {
        if (1 !== preg_match(self::IN_TEXT, $text, $m, \PREG_OFFSET_CAPTURE)) {
            return null;
        }
        [$size, $at] = $m[1];

        return [self::read($size, $unit), trim(substr($text, 0, $at)), trim(substr($text, $at + \strlen($size)))];
    }

    private static function named(string $text): ?Size
    {
        return match (mb_strtolower($text)) {
            'letter' => PaperSize::Letter->size(),
            'a3' => IsoSize::a(3),
            'a4' => IsoSize::a(4),
            'a5' => IsoSize::a(5),
            'a6' => IsoSize::a(6),
            default => null,
        };
    }
}
