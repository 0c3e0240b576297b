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

    /** A bare number below this is no side of a sheet in millimetres; in a name it speaks of inches, or of something else. */
    private const LEAST_BARE_MILLIMETRES = 40;
    private const SIDE = '(?:\d{1,4}(?:[.,]\d{1,3})?(?:[ -]\d{1,2}\/\d{1,2}|\s?[¼½¾⅛⅜⅝⅞])?|\d{1,2}\/\d{1,2}|[¼½¾⅛⅜⅝⅞])';
    private const UNIT = '\s?(?:in|inch|inches|mm|cm|["″”])?';
    private const IN_TEXT = '/(?<![\d.\/])('.self::SIDE.self::UNIT.'\s*(?:[×x*]|\bby\b)\s*'.self::SIDE.self::UNIT.')(?![\d.\/])/iu';

    /**
     * Reads a size; bare numbers are in the unit that is given.
     *
     * @throws InvalidLength if it cannot be read, or a side is nothing or over 3 m
     */
    public static function read(string $text, LengthUnit $unit): Size
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
        $of = 1 === preg_match('/([a-z"″”]+)$/iuD', $sides[1], $m) && 1 !== preg_match('/[a-z"″”]$/iuD', $sides[0]) ? ' '.$m[1] : '';
        $lengths = [Length::parse($sides[0].$of, $unit), Length::parse($sides[1], $unit)];
        foreach ($lengths as $length) {
            if (0 === $length->ticks || $length->ticks > self::MOST_MILLIMETRES * Length::TICKS_PER_MILLIMETRE) {
                throw InvalidLength::isNoSize($text);
            }
        }

        return new Size(...$lengths);
    }

    /** Returns the size that a name speaks of, such as that of “Petrel cardstock 12 × 12”; null where it speaks of none. */
    public static function inName(string $name, LengthUnit $unit): ?Size
    {
        if (1 === preg_match(self::IN_TEXT, $name, $m)) {
            try {
                $size = self::read($m[1], $unit);
            } catch (InvalidLength) {
                return null;
            }
            $isBare = LengthUnit::Millimetre === $unit && 1 !== preg_match('/[a-z"″”]\s*$/iuD', $m[1]);

            return $isBare && min($size->width->millimetres(), $size->height->millimetres()) < self::LEAST_BARE_MILLIMETRES ? null : $size;
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
