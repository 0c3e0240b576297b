<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/**
 * Finds the order of stops in which things change their homes in one walk: with the fewest stops, of those with the fewest things on the
 * table at once, of those the shortest. At a stop all that leaves is taken before anything is put, so that no place is ever fuller than it
 * was or will be; a place to which something comes later is visited twice. A beam search over counted tries; exact while the beam holds
 * all states.
 */
final readonly class CarryPlanner
{
    private const TRIES = 60_000;
    private const LEAST_WIDTH = 12;

    public function __construct(private int $tries = self::TRIES)
    {
    }

    /**
     * @param list<Carry> $carries
     * @param list<int> $alsoVisited numbers of places at which something else is to be done
     * @param list<list<float>> $distances between the places by number, the last row and column being the start, which is the end too
     */
    public function of(array $carries, array $alsoVisited, array $distances): CarriedRound
    {
        $bench = \count($distances) - 1;
        $open = array_map(static fn (Carry $carry): bool => !$carry->isInHand, $carries);
        $inHand = array_sum(array_map(static fn (Carry $carry): int => $carry->isInHand ? $carry->things : 0, $carries));
        $states = [new WalkState($bench, array_keys(array_filter($open)), array_keys($carries), $alsoVisited, $inHand, $inHand, 0.0, [])];
        $width = $this->width($states[0]->places($carries));
        while (!$states[0]->isDone()) {
            $states = self::best(self::nextOf($states, $carries, $distances), $width);
        }
        $last = $this->nearest($states, $distances, $bench);

        return new CarriedRound($last->visits, $last->peak, $last->length + $distances[$last->at][$bench]);
    }

    /** @param list<int> $places */
    private function width(array $places): int
    {
        $many = max(1, \count($places));

        return max(self::LEAST_WIDTH, intdiv($this->tries, 2 * $many * $many));
    }

    /**
     * @param non-empty-list<WalkState> $states
     * @param list<Carry> $carries
     * @param list<list<float>> $distances
     *
     * @return array<string, WalkState> each state once, the best way to it
     */
    private static function nextOf(array $states, array $carries, array $distances): array
    {
        $next = [];
        foreach ($states as $state) {
            foreach ($state->places($carries) as $place) {
                $one = $place === $state->at ? null : $state->goTo($place, $carries, $distances);
                $key = $one?->key();
                if (null !== $one && null !== $key && (!isset($next[$key]) || $one->order($next[$key]) < 0)) {
                    $next[$key] = $one;
                }
            }
        }

        return $next;
    }

    /**
     * @param array<string, WalkState> $states
     *
     * @return non-empty-list<WalkState>
     */
    private static function best(array $states, int $width): array
    {
        usort($states, static fn (WalkState $a, WalkState $b): int => $a->order($b));

        return \array_slice($states, 0, $width) ?: throw new \LogicException('There is always a place to go to.');
    }

    /**
     * @param non-empty-list<WalkState> $states that are done or not
     * @param list<list<float>> $distances
     */
    private function nearest(array $states, array $distances, int $bench): WalkState
    {
        $best = $states[0];
        $all = static fn (WalkState $state): float => $state->length + $distances[$state->at][$bench];
        foreach ($states as $state) {
            if ($state->isDone() && [$state->peak, $all($state)] < [$best->peak, $all($best)]) {
                $best = $state;
            }
        }

        return $best;
    }
}
