<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/**
 * US basis sizes: a basis weight is the weight in pounds of a ream of 500 sheets of this size, in inches. The sizes are those
 * of the US trade (as in ISO 536 conversion tables and the paper merchants' handbooks); given here from memory.
 */
enum Basis: string
{
    case Bond = 'bond';
    case Text = 'text';
    case Cover = 'cover';
    case Index = 'index';
    case Tag = 'tag';

    private const GRAMS_PER_POUND = 453.59237;
    private const SQUARE_METRES_PER_SQUARE_INCH = 0.0254 * 0.0254;
    private const REAM = 500;

    /** Returns the area of the basis sheet in square inches. */
    public function squareInches(): float
    {
        return match ($this) {
            self::Bond => 17 * 22.0,
            self::Text => 25 * 38.0,
            self::Cover => 20 * 26.0,
            self::Index => 25.5 * 30.5,
            self::Tag => 24 * 36.0,
        };
    }

    /** Returns the grammage in g/m² of a basis weight in pounds. */
    public function grammage(float $pounds): float
    {
        return $pounds * self::GRAMS_PER_POUND / (self::REAM * $this->squareInches() * self::SQUARE_METRES_PER_SQUARE_INCH);
    }

    /** Returns the basis weight in pounds of a grammage in g/m². */
    public function pounds(float $grammage): float
    {
        return $grammage * self::REAM * $this->squareInches() * self::SQUARE_METRES_PER_SQUARE_INCH / self::GRAMS_PER_POUND;
    }
}
