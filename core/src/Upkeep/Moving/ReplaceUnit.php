<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\MayLive;

/**
 * Finds where the contents of a unit go in the unit that replaces it: each place's contents together into one place that takes them, as
 * many as can be, and of all such ways the one that costs fewest seconds a month. A place that says what belongs in it takes nothing
 * else. A series keeps its order from address to address.
 */
final class ReplaceUnit
{
    /** Where the seconds are equal, the order of the addresses is kept. */
    private const KEEPS_ORDER = 1e-6;

    public function __construct(private readonly MayLive $mayLive = new MayLive())
    {
    }

    /**
     * @param list<PlaceGroup> $groups in the order of their addresses
     * @param list<HomePlace> $places of the new unit, in the order of their addresses, with what is in them already
     *
     * @return list<Refilled> in the order of the groups
     */
    public function plan(array $groups, array $places): array
    {
        // Counted from the farthest place, so that of what cannot all be placed that is placed which is fetched most often.
        $farthest = array_reduce($places, static fn (float $most, HomePlace $place): float => max($most, $place->reach->total()), 0.0) + 1;
        $costs = array_map(fn (PlaceGroup $group, int $nth): array => array_map(
            fn (HomePlace $place, int $at): ?float => $this->takes($place, $group)
                ? $group->all->uses * ($place->reach->total() - $farthest) + self::KEEPS_ORDER * abs($nth - $at)
                : null,
            $places,
            array_keys($places),
        ), $groups, array_keys($groups));
        $chosen = $this->inOrder($groups, $places, Assignment::cheapest($costs));

        return array_map(
            static fn (PlaceGroup $group, ?int $at): Refilled => new Refilled($group, null === $at ? null : $places[$at]),
            $groups,
            $chosen,
        );
    }

    /**
     * Returns the seconds a month that fetching costs, of what has found a place: where it lives now, and where it goes.
     *
     * @param list<Refilled> $plan
     *
     * @return array{float, float}
     */
    public static function cost(array $plan): array
    {
        $before = $after = 0.0;
        foreach ($plan as $one) {
            if (null !== $one->to) {
                $before += $one->group->all->uses * $one->group->from->reach->total();
                $after += $one->group->all->uses * $one->to->reach->total();
            }
        }

        return [$before, $after];
    }

    /**
     * @param list<PlaceGroup> $groups
     * @param list<HomePlace> $places
     * @param list<int|null> $chosen
     *
     * @return list<int|null>
     */
    private function inOrder(array $groups, array $places, array $chosen): array
    {
        $series = [];
        foreach ($groups as $nth => $group) {
            if (null !== $chosen[$nth]) {
                $series[$group->series()][$nth] = $chosen[$nth];
            }
        }
        foreach ($series as $of) {
            $sorted = array_values($of);
            sort($sorted);
            $ordered = array_combine(array_keys($of), $sorted);
            $fits = array_filter($ordered, fn (int $at, int $nth): bool => $this->takes($places[$at], $groups[$nth]), \ARRAY_FILTER_USE_BOTH);
            $chosen = \count($fits) === \count($ordered) ? array_replace($chosen, $ordered) : $chosen;
        }

        return array_values($chosen);
    }

    private function takes(HomePlace $place, PlaceGroup $group): bool
    {
        foreach ($group->all->things as $thing) {
            if (null !== $place->says->excludes($thing)) {
                return false;
            }
        }
        $litres = $place->contents->litres + $group->all->contents->litres;

        return 1000 * $litres <= $place->room() && null === $this->mayLive->whyThere($group->all, $group->from, $place);
    }
}
