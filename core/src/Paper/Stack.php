<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/** A stack counted by weighing it. */
final readonly class Stack
{
    /** Slack for the last bits of binary fractions, as a share of the weight. */
    private const SLACK = 1e-12;

    private function __construct(public float $sheetGrams, public int $sheets, public int $least, public int $most)
    {
    }

    /** Returns the weight in grams of a sheet, from its sides in metres and its grammage in g/m². */
    public static function sheetGrams(float $widthMetres, float $heightMetres, float $grammage): float
    {
        return $widthMetres * $heightMetres * $grammage;
    }

    /**
     * Returns the nearest number of sheets for a weight, and the least and most that the scale's error allows; where it
     * allows none, both are the nearest.
     *
     * @param float $sheetGrams weight of one sheet, above 0
     * @param float $grams what the scale shows, 0 or above
     * @param float $errorGrams how far the scale may be out either way, 0 or above
     */
    public static function weighed(float $sheetGrams, float $grams, float $errorGrams): self
    {
        $nearest = (int) round($grams / $sheetGrams);
        $slack = self::SLACK * max($grams, $sheetGrams);
        $least = max(0, (int) ceil(($grams - $errorGrams - $slack) / $sheetGrams));
        $most = (int) floor(($grams + $errorGrams + $slack) / $sheetGrams);

        return $least > $most ? new self($sheetGrams, $nearest, $nearest, $nearest) : new self($sheetGrams, $nearest, $least, $most);
    }
}
