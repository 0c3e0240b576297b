<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/**
 * Prints lengths in the room's unit: inches to the nearest 1/16, marked “a little under” or “a little over” where that is
 * not exact; or millimetres to the nearest tenth.
 */
final readonly class LengthFormat
{
    private const TICKS_PER_SIXTEENTH = Length::TICKS_PER_INCH / 16;
    private const TICKS_PER_SIXTY_FOURTH = Length::TICKS_PER_INCH / 64;
    private const LONG_INCHES = 120;
    private const GLYPHS = ['1/4' => '¼', '1/2' => '½', '3/4' => '¾', '1/8' => '⅛', '3/8' => '⅜', '5/8' => '⅝', '7/8' => '⅞'];

    public function __construct(public LengthUnit $unit)
    {
    }

    /** Returns the length with its unit, such as `4¼ in`, `3 1/16 in, a little under` or `108 mm`. */
    public function full(Length $length): string
    {
        return LengthUnit::Inch === $this->unit ? $this->inInches($length) : $this->number($length).' mm';
    }

    /**
     * Returns a length off a roll as people speak of it: `36½ in` and `600 mm` as they are; from ten feet or a metre on `5½ yd`, `5 m`,
     * or `about 16 ft 5 in`, `about 4.57 m` where it is not exactly so.
     */
    public function rolled(Length $length): string
    {
        [$unit, $of] = LengthUnit::Inch === $this->unit ? [36 * Length::TICKS_PER_INCH, 4] : [1000 * Length::TICKS_PER_MILLIMETRE, 100];
        if ($length->ticks < (LengthUnit::Inch === $this->unit ? self::LONG_INCHES * Length::TICKS_PER_INCH : $unit)) {
            return $this->full($length);
        }
        $isExact = 0 === $length->ticks * $of % $unit;
        if (LengthUnit::Millimetre === $this->unit) {
            return ($isExact ? '' : 'about ').rtrim(rtrim(number_format($length->ticks / $unit, 2), '0'), '.').' m';
        }
        if ($isExact) {
            return $this->sixteenths(intdiv(16 * $length->ticks, $unit)).' yd';
        }
        $inches = intdiv(2 * $length->ticks + Length::TICKS_PER_INCH, 2 * Length::TICKS_PER_INCH);

        return (0 === $length->ticks % Length::TICKS_PER_INCH ? '' : 'about ').intdiv($inches, 12).' ft'.(0 === $inches % 12 ? '' : ' '.$inches % 12 .' in');
    }

    /** Returns sides that belong together, such as `4¼ × 5½ in`, with `about` before them where one is not exactly so. */
    public function sides(Length ...$sides): string
    {
        $between = array_filter($sides, static fn (Length $side): bool => 0 !== $side->ticks % self::TICKS_PER_SIXTEENTH);
        $isExact = LengthUnit::Millimetre === $this->unit || [] === $between;

        return ($isExact ? '' : 'about ').implode(' × ', array_map($this->number(...), $sides)).' '.$this->unit->value;
    }

    /**
     * Returns the length as it can be typed again without loss: in inches to the 1/64 where that is exact, else to the
     * ten-thousandth, which is less than a tick; or in millimetres, to the hundredth or to the tick.
     */
    public function exact(Length $length): string
    {
        if (LengthUnit::Inch === $this->unit && 0 === $length->ticks % self::TICKS_PER_SIXTY_FOURTH) {
            $parts = intdiv($length->ticks, self::TICKS_PER_SIXTY_FOURTH);
            $of = 64;
            for (; 1 < $of && 0 === $parts % 2; $of = intdiv($of, 2)) {
                $parts = intdiv($parts, 2);
            }

            [$whole, $rest] = [intdiv($parts, $of), $parts % $of];

            return trim(($whole > 0 || 0 === $parts ? (string) $whole : '').(0 === $rest ? '' : " {$rest}/{$of}").' in');
        }

        [$ticks, $digits] = LengthUnit::Inch === $this->unit ? [Length::TICKS_PER_INCH, 4] : [Length::TICKS_PER_MILLIMETRE, 6];

        return rtrim(rtrim(number_format($length->ticks / $ticks, $digits, '.', ''), '0'), '.').' '.$this->unit->value;
    }

    /** Returns the number alone, such as `4¼`, `3 1/16` or `107.9`. */
    public function number(Length $length): string
    {
        if (LengthUnit::Millimetre === $this->unit) {
            $tenths = intdiv($length->ticks * 2 + 32, 64);

            return intdiv($tenths, 10).(0 === $tenths % 10 ? '' : '.'.$tenths % 10);
        }

        return $this->sixteenths($this->nearestSixteenths($length));
    }

    private function inInches(Length $length): string
    {
        $error = $length->ticks - $this->nearestSixteenths($length) * self::TICKS_PER_SIXTEENTH;
        $mark = match (true) {
            $error < 0 => ', a little under',
            $error > 0 => ', a little over',
            default => '',
        };

        return $this->number($length).' in'.$mark;
    }

    private function nearestSixteenths(Length $length): int
    {
        return intdiv($length->ticks * 2 + self::TICKS_PER_SIXTEENTH, 2 * self::TICKS_PER_SIXTEENTH);
    }

    private function sixteenths(int $sixteenths): string
    {
        $whole = intdiv($sixteenths, 16);
        $numerator = $sixteenths % 16;
        $denominator = 16;
        while ($numerator > 0 && 0 === $numerator % 2) {
            $numerator = intdiv($numerator, 2);
            $denominator = intdiv($denominator, 2);
        }
        if (0 === $numerator) {
            return (string) $whole;
        }
        $fraction = $numerator.'/'.$denominator;
        $glyph = self::GLYPHS[$fraction] ?? null;
        $lead = 0 === $whole ? '' : $whole.(null === $glyph ? ' ' : '');

        return $lead.($glyph ?? $fraction);
    }
}
