<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Length;

/** How many squares of foam hold a layer: one at each end and corner, and one between wherever they would be too far apart. */
final class FoamSquares
{
    /** A layer sags between squares that are farther apart (common practice, no source). */
    private const APART = 3 * Length::TICKS_PER_INCH / 2;

    /** Up to here one row holds it (common practice, no source). */
    private const ONE_ROW = 5 * Length::TICKS_PER_INCH / 4;

    /** Returns an estimate, for sides in ticks. */
    public static function under(Sides $layer): int
    {
        [$short, $long] = [min($layer->width, $layer->height), max($layer->width, $layer->height)];
        $along = max(1, (int) round($long / self::APART)) + 1;
        $across = $short <= self::ONE_ROW ? 1 : max(1, (int) round($short / self::APART)) + 1;

        return $short <= self::ONE_ROW && $long <= self::ONE_ROW ? 1 : $along * $across;
    }

    /** Returns an estimate of all that one card takes. */
    public static function onCard(Design $design): int
    {
        $squares = array_map(
            static fn (PlacedLayer $placed): int => $placed->layer->isOnFoam ? self::under($placed->at->sides()) : 0,
            $design->front(),
        );

        return array_sum($squares);
    }
}
