<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/** Volumes as a room speaks of them: cubic inches and feet where it measures in inches, litres where in millimetres. 1 in = 25.4 mm by definition. */
final readonly class VolumeFormat
{
    private const CUBIC_INCHES_PER_LITRE = 1e6 / (25.4 * 25.4 * 25.4);

    private const CUBIC_INCHES_PER_FOOT = 1728;

    /** From this many cubic feet on they are said as such. */
    private const MANY_FEET = 3;

    /** Less than this many litres is a little. */
    private const LITTLE = 0.05;

    public function __construct(private LengthUnit $unit)
    {
    }

    /** Returns a volume such as `23.2 l`, `1,420 cu in`, `6.7 cu ft` or `a little`. */
    public function print(float $litres): string
    {
        if ($litres < self::LITTLE) {
            return 'a little';
        }
        if (LengthUnit::Millimetre === $this->unit) {
            return rtrim(rtrim(number_format($litres, 1), '0'), '.').' l';
        }
        $inches = $litres * self::CUBIC_INCHES_PER_LITRE;
        if ($inches >= self::MANY_FEET * self::CUBIC_INCHES_PER_FOOT) {
            return number_format($inches / self::CUBIC_INCHES_PER_FOOT, 1).' cu ft';
        }

        return number_format($inches < 100 ? round($inches) : 10 * round($inches / 10)).' cu in';
    }
}
