<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/**
 * Finds a short way from a start past all stops to an end. Up to fourteen stops exactly, by dynamic programming (Held and
 * Karp, 1962); beyond that by 2-opt and Or-opt from several beginnings and with repeated small upsets, and with a proven lower
 * bound by spanning trees under node prices (Held and Karp, 1970). The same input always gives the same answer.
 *
 * Inside, node 0 is the start, nodes 1 to n the stops, node n + 1 the end; a round without an end has one at no distance from
 * every stop.
 */
final readonly class RoundPlanner
{
    private const EXACT_UP_TO = 14;

    public function __construct(private LocalSearch $search = new LocalSearch(), private SpanningBound $bound = new SpanningBound())
    {
    }

    /**
     * Returns the best order found.
     *
     * @param list<list<float>> $distances between start, stops in their order, and end; without the end's row and column
     *                                     where the round ends at its last stop
     * @param int $stops how many stops there are
     */
    public function plan(array $distances, int $stops): PlannedRound
    {
        $cost = $this->withEnd($distances, $stops);
        if (0 === $stops) {
            $length = $distances[0][1] ?? 0.0;

            return new PlannedRound([], $length, $length, true);
        }
        if ($stops <= self::EXACT_UP_TO) {
            $order = (new ExactRound())->order($cost, $stops);
            $length = $this->length($cost, $order);

            return new PlannedRound($this->stops($order), $length, $length, true);
        }
        $order = $this->search->improve($cost, $stops);
        $length = $this->length($cost, $order);
        $bound = min($length, $this->bound->of($cost, $length));
        $isOptimal = $length - $bound <= 1e-9 * max(1.0, $length);

        return new PlannedRound($this->stops($order), $length, $isOptimal ? $length : $bound, $isOptimal);
    }

    /**
     * @param list<list<float>> $distances
     *
     * @return list<list<float>>
     */
    private function withEnd(array $distances, int $stops): array
    {
        if (\count($distances) < $stops + 2) {
            foreach ($distances as $node => $row) {
                $distances[$node] = [...$row, 0.0];
            }
            $distances[] = array_fill(0, $stops + 2, 0.0);
        }
        if ($stops > 0) {
            $distances[0][$stops + 1] = $distances[$stops + 1][0] = \INF;
        }

        return array_map(array_values(...), $distances);
    }

    /**
     * @param list<list<float>> $cost
     * @param list<int> $order with start and end
     */
    private function length(array $cost, array $order): float
    {
        $length = 0.0;
        for ($i = 1, $count = \count($order); $i < $count; ++$i) {
            $length += $cost[$order[$i - 1]][$order[$i]];
        }

        return $length;
    }

    /**
     * @param list<int> $order with start and end
     *
     * @return list<int>
     */
    private function stops(array $order): array
    {
        return array_map(static fn (int $node): int => $node - 1, \array_slice($order, 1, -1));
    }
}
