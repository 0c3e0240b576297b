<?php

declare(strict_types=1);

namespace App\Console;

/** Turns exact lengths into whole numbers on one common grid, and back into the document's unit. */
final readonly class Scale
{
    private const FINEST = 100_000_000;

    private function __construct(private int $perUnit)
    {
    }

    /**
     * Returns the coarsest grid on which all lengths are whole; where that would be too fine, one of 1/100,000,000 unit.
     *
     * @param iterable<Ratio> $lengths
     */
    public static function for(iterable $lengths): self
    {
        $perUnit = 1;
        foreach ($lengths as $length) {
            $perUnit = intdiv($perUnit, Ratio::divisor($perUnit, $length->denominator)) * $length->denominator;
            if ($perUnit > self::FINEST) {
                return new self(self::FINEST);
            }
        }

        return new self($perUnit);
    }

    public function whole(Ratio $length): int
    {
        if (0 === $this->perUnit % $length->denominator) {
            return $length->numerator * intdiv($this->perUnit, $length->denominator);
        }

        return (int) round($length->value() * $this->perUnit);
    }

    public function unit(int $whole): float|int
    {
        return 0 === $whole % $this->perUnit ? intdiv($whole, $this->perUnit) : $whole / $this->perUnit;
    }
}
