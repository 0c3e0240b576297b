<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/**
 * A length in whole ticks. 1 tick = 1/8128 in = 3.125 µm, so that 1/64 in (127 ticks) and 0.1 mm (32 ticks) are both
 * exact, since 1 in is 25.4 mm by definition (international inch, 1959).
 */
final readonly class Length
{
    public const TICKS_PER_INCH = 8128;
    public const TICKS_PER_MILLIMETRE = 320;
    public const MOST_TICKS = 100_000 * self::TICKS_PER_MILLIMETRE;

    private function __construct(public int $ticks)
    {
    }

    /**
     * Returns the length of that many ticks.
     *
     * @throws InvalidLength if it is negative or over 100 m
     */
    public static function ofTicks(int $ticks): self
    {
        if ($ticks < 0) {
            throw InvalidLength::negative();
        }
        if ($ticks > self::MOST_TICKS) {
            throw InvalidLength::tooLong();
        }

        return new self($ticks);
    }

    /**
     * Returns $numerator/$denominator inches, to the nearest tick.
     *
     * @throws InvalidLength if it is negative, over 100 m, or divides by zero
     */
    public static function ofInches(int $numerator, int $denominator = 1): self
    {
        return self::ofRatio($numerator, $denominator, self::TICKS_PER_INCH);
    }

    /**
     * Returns $tenths tenths of a millimetre, exactly.
     *
     * @throws InvalidLength if it is negative or over 100 m
     */
    public static function ofTenthMillimetres(int $tenths): self
    {
        return self::ofRatio($tenths, 10, self::TICKS_PER_MILLIMETRE);
    }

    /**
     * Reads `4 1/4`, `4.25`, `4¼`, `108 mm`, `10.8 cm` or `5 1/2"`; a bare number is in $bare units.
     *
     * @throws InvalidLength if it cannot be read, is negative or is over 100 m
     */
    public static function parse(string $text, LengthUnit $bare): self
    {
        return (new LengthParser($bare))->parse($text);
    }

    /**
     * Returns $numerator/$denominator times $ticksPerUnit, to the nearest tick, halves up.
     *
     * @throws InvalidLength if it is negative, over 100 m, or divides by zero
     */
    public static function ofRatio(int $numerator, int $denominator, int $ticksPerUnit): self
    {
        if (0 === $denominator) {
            throw InvalidLength::denominatorIsZero($numerator.'/0');
        }
        if ($numerator < 0 || $denominator < 0) {
            throw InvalidLength::negative();
        }
        if ($numerator / $denominator * $ticksPerUnit > self::MOST_TICKS) {
            throw InvalidLength::tooLong();
        }
        $whole = intdiv($numerator, $denominator);
        $rest = $numerator % $denominator;
        $doubled = 2 * $rest * $ticksPerUnit + $denominator;

        return self::ofTicks($whole * $ticksPerUnit + intdiv($doubled, 2 * $denominator));
    }

    /** @throws InvalidLength if the sum is over 100 m */
    public function plus(self $other): self
    {
        return self::ofTicks($this->ticks + $other->ticks);
    }

    /** @throws InvalidLength if $other is longer */
    public function minus(self $other): self
    {
        return self::ofTicks($this->ticks - $other->ticks);
    }

    /** Returns the length in inches; for drawing and statistics only, lengths are never computed in floats. */
    public function inches(): float
    {
        return $this->ticks / self::TICKS_PER_INCH;
    }

    /** Returns the length in whole millimetres, rounded down. */
    public function wholeMillimetres(): int
    {
        return intdiv($this->ticks, self::TICKS_PER_MILLIMETRE);
    }

    /** Returns the length in whole millimetres, to the nearest, halves up. */
    public function nearestMillimetres(): int
    {
        return intdiv(2 * $this->ticks + self::TICKS_PER_MILLIMETRE, 2 * self::TICKS_PER_MILLIMETRE);
    }

    /** Returns the length in millimetres; for drawing and statistics only. */
    public function millimetres(): float
    {
        return $this->ticks / self::TICKS_PER_MILLIMETRE;
    }
}
