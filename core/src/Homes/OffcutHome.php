<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Colour\Difference;

/** Says where an offcut goes: to its like, by the school of the room. */
final class OffcutHome
{
    private const LIKE_COLOUR = 10.0;

    /**
     * Returns the place; null where the room has none for it yet.
     *
     * @param int|null $parentHome where the paper lives that it comes from
     * @param list<FiledScraps> $filed
     */
    public static function of(OffcutSchool $school, FiledScraps $offcut, ?int $parentHome, array $filed): ?int
    {
        if (OffcutSchool::Parent === $school && null !== $parentHome) {
            return $parentHome;
        }
        $likeness = [
            self::byPlace($filed, static fn (FiledScraps $scraps): float => self::isOfSchool($school, $offcut, $scraps) ? $scraps->quantity : 0),
            self::byPlace(
                $filed,
                static fn (FiledScraps $scraps): float => null !== $offcut->paper && $scraps->paper === $offcut->paper ? $scraps->quantity : 0,
            ),
            self::byPlace(
                $filed,
                static fn (FiledScraps $scraps): float => self::isAsNear($offcut, $scraps, self::LIKE_COLOUR) ? $scraps->quantity : 0,
            ),
        ];
        $best = null;
        foreach (array_keys($likeness[0]) as $place) {
            $value = array_column($likeness, $place);
            if (array_sum($value) > 0 && (null === $best || $value > $best[1])) {
                $best = [$place, $value];
            }
        }

        return $best[0] ?? null;
    }

    /**
     * @param list<FiledScraps> $filed
     * @param \Closure(FiledScraps): float $counts
     *
     * @return array<int, float> by place
     */
    private static function byPlace(array $filed, \Closure $counts): array
    {
        $sums = [];
        foreach ($filed as $scraps) {
            if (null !== $scraps->place) {
                $sums[$scraps->place] = ($sums[$scraps->place] ?? 0) + $counts($scraps);
            }
        }
        ksort($sums);

        return $sums;
    }

    private static function isOfSchool(OffcutSchool $school, FiledScraps $offcut, FiledScraps $scraps): bool
    {
        return match ($school) {
            OffcutSchool::Colour => self::isAsNear($offcut, $scraps, Difference::UNSEEN),
            OffcutSchool::Maker => '' !== $offcut->maker && $offcut->maker === $scraps->maker,
            OffcutSchool::Collection => '' !== $offcut->collection && $offcut->collection === $scraps->collection,
            OffcutSchool::Parent => null !== $offcut->paper && $offcut->paper === $scraps->paper,
        };
    }

    private static function isAsNear(FiledScraps $offcut, FiledScraps $scraps, float $most): bool
    {
        return null !== $offcut->colour && null !== $scraps->colour && Difference::between($offcut->colour, $scraps->colour) <= $most;
    }
}
