<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Lost;

/**
 * In which order places are looked into so that a thing is found soonest on average: those first that offer most chance for each second
 * (W. E. Smith, “Various optimizers for single-stage production”, 1956: by the ratio of weight to time; from memory).
 */
final class LookingOrder
{
    /** A search goes on until so much of the chance is looked into, or so many places. */
    private const ENOUGH = 0.8;
    private const MOST_PLACES = 8;

    /** Looking through a place, in seconds, besides getting there; an estimate. */
    public const LOOK_SECONDS = 20.0;

    /**
     * @param list<LikelyPlace> $likely the likeliest first
     * @param array<int, float> $seconds of getting to each place and back, by its number
     *
     * @return list<LikelyPlace> the places that are worth a look, in order
     */
    public static function of(array $likely, array $seconds): array
    {
        $chosen = [];
        $chance = 0.0;
        foreach ($likely as $place) {
            if (0 !== $place->place && \count($chosen) < self::MOST_PLACES && $chance < self::ENOUGH) {
                $chosen[] = $place;
                $chance += $place->chance;
            }
        }
        $ratio = static fn (LikelyPlace $place): float => $place->chance / (self::LOOK_SECONDS + ($seconds[$place->place] ?? 0.0));
        usort($chosen, static fn (LikelyPlace $a, LikelyPlace $b): int => $ratio($b) <=> $ratio($a) ?: $a->place <=> $b->place);

        return $chosen;
    }
}
