<?php

declare(strict_types=1);

namespace App\Platform\Console;

/** Turns exact lengths into whole numbers on one common grid, and back into the document's unit. */
final readonly class OutputScale
{
    private const FINEST = 100_000_000;

    private function __construct(private int $perUnit)
    {
    }

    /**
     * Returns the coarsest grid on which all lengths are whole; where that would be too fine, the finest one that is allowed.
     *
     * @param iterable<Ratio> $lengths
     */
    public static function for(iterable $lengths, int $finest = self::FINEST): self
    {
        $perUnit = 1;
        foreach ($lengths as $length) {
            $perUnit = intdiv($perUnit, Ratio::divisor($perUnit, $length->denominator)) * $length->denominator;
            if ($perUnit > $finest) {
                return new self($finest);
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

    /**
     * Reads a length above nought, also on this grid.
     *
     * @throws InvalidDocument if it is none, or so small beside the others that nothing is left of it
     */
    public function positive(Document $length): int
    {
        $whole = $this->whole($length->positiveLength());

        return 0 === $whole ? $length->refuse('Beside the others this length is next to nothing.') : $whole;
    }

    /** Returns an area in square units. */
    public function area(int $whole): float
    {
        return $whole / ($this->perUnit * $this->perUnit);
    }

    public function unit(int $whole): float|int
    {
        return 0 === $whole % $this->perUnit ? intdiv($whole, $this->perUnit) : $whole / $this->perUnit;
    }
}
