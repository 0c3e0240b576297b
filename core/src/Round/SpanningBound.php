<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/**
 * A length that no way from start to end can beat. Such a way is a spanning tree in which start and end have one edge and
 * each stop has two. Under any prices on the nodes, the cheapest spanning tree less the prices due is a lower bound; the
 * prices are raised by subgradient ascent (Held and Karp, 1970 and 1971).
 */
final class SpanningBound
{
    private const ASCENTS = 220;

    /** So many node pairs are looked at in all, which bounds the time of large rounds. */
    private const WORK = 6_000_000;

    /**
     * Returns the best bound found.
     *
     * @param list<list<float>> $cost between start, stops and end
     * @param float $length of a known way, which steers the steps
     */
    public function of(array $cost, float $length): float
    {
        $count = \count($cost);
        $prices = array_fill(0, $count, 0.0);
        $due = array_fill(0, $count, 2);
        $due[0] = $due[$count - 1] = 1;
        $best = 0.0;
        $step = 1.6;
        $without = 0;
        $momentum = array_fill(0, $count, 0.0);
        $ascents = min(self::ASCENTS, intdiv(self::WORK, $count * $count));
        for ($round = 0; $round < $ascents; ++$round) {
            [$tree, $degrees] = $this->tree($cost, $prices);
            $bound = $tree;
            $square = 0;
            for ($node = 0; $node < $count; ++$node) {
                $bound -= $due[$node] * $prices[$node];
                $square += ($degrees[$node] - $due[$node]) ** 2;
            }
            $without = $bound > $best + 1e-7 * $length ? 0 : $without + 1;
            $best = max($best, $bound);
            if (0 === $square || $length - $best <= 1e-10 * $length) {
                break;
            }
            if ($without >= 12) {
                $step /= 2;
                $without = 0;
            }
            $size = $step * max(1e-9 * $length, 1.001 * $length - $bound) / $square;
            for ($node = 0; $node < $count; ++$node) {
                $momentum[$node] = 0.7 * ($degrees[$node] - $due[$node]) + 0.3 * $momentum[$node];
                $prices[$node] += $size * $momentum[$node];
            }
        }

        return $best - 1e-12 * $length;
    }

    /**
     * The cheapest spanning tree by Prim's method.
     *
     * @param list<list<float>> $cost
     * @param list<float> $prices
     *
     * @return array{float, array<int, int>} its price, and how many edges each node has
     */
    private function tree(array $cost, array $prices): array
    {
        $count = \count($cost);
        $degrees = array_fill(0, $count, 0);
        $nearest = $parent = [];
        for ($node = 1; $node < $count; ++$node) {
            $nearest[$node] = $cost[0][$node] + $prices[0] + $prices[$node];
            $parent[$node] = 0;
        }
        $total = 0.0;
        while ([] !== $nearest) {
            $next = array_key_first($nearest);
            $lowest = $nearest[$next];
            foreach ($nearest as $node => $price) {
                if ($price < $lowest) {
                    [$next, $lowest] = [$node, $price];
                }
            }
            $total += $lowest;
            ++$degrees[$next];
            ++$degrees[$parent[$next]];
            unset($nearest[$next]);
            $row = $cost[$next];
            $own = $prices[$next];
            foreach ($nearest as $node => $price) {
                $other = $row[$node] + $own + $prices[$node];
                if ($other < $price) {
                    $nearest[$node] = $other;
                    $parent[$node] = $next;
                }
            }
        }

        return [$total, $degrees];
    }
}
