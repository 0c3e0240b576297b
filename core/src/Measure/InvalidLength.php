<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

final class InvalidLength extends \InvalidArgumentException
{
    public static function notReadable(string $text): self
    {
        return new self(\sprintf('“%s” is not a length. Write it like 4 1/4, 4.25 or 108 mm.', self::shortened($text)));
    }

    public static function denominatorIsZero(string $text): self
    {
        return new self(\sprintf('“%s” divides by zero.', self::shortened($text)));
    }

    public static function isNoSize(string $text): self
    {
        return new self(\sprintf('“%s” is no size of a sheet. Write it like 8 1/2 × 11, 216 × 279 mm, letter or A4.', self::shortened($text)));
    }

    /** @param LengthUnit $unit that of the room, in which bare numbers are read */
    public static function isAbsurd(string $text, LengthUnit $unit): self
    {
        $other = LengthUnit::Inch === $unit ? LengthUnit::Millimetre : LengthUnit::Inch;

        return new self(\sprintf(
            '“%1$s” would be in %2$s here. Write “%1$s %3$s” or “%1$s %4$s”, whichever it is.',
            self::shortened($text),
            self::name($unit),
            $other->value,
            $unit->value,
        ));
    }

    private static function name(LengthUnit $unit): string
    {
        return LengthUnit::Inch === $unit ? 'inches' : 'millimetres';
    }

    public static function isTooMany(int $most): self
    {
        return new self(\sprintf('These are more than %d sizes. Write a set down as several things.', $most));
    }

    public static function cornerIsTooLarge(): self
    {
        return new self('The corner that is missing must be smaller on both sides than the whole, such as 6 × 8 without 3 × 5.');
    }

    public static function tooLong(): self
    {
        return new self('A length may be 100 metres at the most.');
    }

    public static function negative(): self
    {
        return new self('A length is never negative.');
    }

    private static function shortened(string $text): string
    {
        return mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;
    }
}
