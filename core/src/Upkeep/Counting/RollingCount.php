<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Counting;

/**
 * Which places to count next: those where the most lines are likely to be wrong by now. A movement makes a line wrong at a rate that counts
 * of the place have shown; before that it is taken to be one in thirty (mean of a gamma posterior; the prior is a judgement of ours).
 */
final class RollingCount
{
    private const PRIOR_WRONG = 1.0;
    private const PRIOR_MOVEMENTS = 30.0;

    /** A year without a look is as good as so many movements. */
    private const A_YEAR = 6.0;

    /** Returns how many lines of a place are likely to be wrong; never more than it has, and none in an empty one that nothing left. */
    public static function likelyWrong(PlaceHistory $place): float
    {
        $rate = ($place->wrong + self::PRIOR_WRONG) / ($place->touched + self::PRIOR_MOVEMENTS);
        $years = null === $place->days ? 1.0 : min(3.0, $place->days / 365);
        $moved = $place->touchedSince + (0 === $place->things ? 0.0 : self::A_YEAR * $years);

        return min((float) max(1, $place->things), $rate * $moved);
    }

    /**
     * Returns the places to count next, those first where most is likely to be wrong.
     *
     * @param list<PlaceHistory> $places
     *
     * @return list<PlaceHistory>
     */
    public static function next(array $places, int $most): array
    {
        $due = array_filter($places, static fn (PlaceHistory $place): bool => self::likelyWrong($place) > 0);
        usort($due, static fn (PlaceHistory $a, PlaceHistory $b): int => self::likelyWrong($b) <=> self::likelyWrong($a) ?: $a->place <=> $b->place);

        return \array_slice($due, 0, $most);
    }
}
