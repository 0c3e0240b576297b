<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** The shortest way past all stops by dynamic programming over sets of stops (Held and Karp, 1962); n² · 2ⁿ steps. */
final class ExactRound
{
    /**
     * Returns the order of all nodes, start first and end last.
     *
     * @param list<list<float>> $cost between start, stops and end
     * @param int $stops at least 1
     *
     * @return list<int>
     */
    public function order(array $cost, int $stops): array
    {
        $full = (1 << $stops) - 1;
        $best = $from = [];
        for ($last = 0; $last < $stops; ++$last) {
            $best[1 << $last][$last] = $cost[0][$last + 1];
        }
        for ($set = 1; $set <= $full; ++$set) {
            foreach ($best[$set] as $last => $length) {
                $row = $cost[$last + 1];
                for ($next = 0; $next < $stops; ++$next) {
                    $bit = 1 << $next;
                    if (0 !== ($set & $bit)) {
                        continue;
                    }
                    $longer = $length + $row[$next + 1];
                    if (!isset($best[$set | $bit][$next]) || $longer < $best[$set | $bit][$next]) {
                        $best[$set | $bit][$next] = $longer;
                        $from[$set | $bit][$next] = $last;
                    }
                }
            }
        }
        $last = 0;
        foreach ($best[$full] as $candidate => $length) {
            if ($length + $cost[$candidate + 1][$stops + 1] < $best[$full][$last] + $cost[$last + 1][$stops + 1]) {
                $last = $candidate;
            }
        }

        return $this->trace($from, $full, $last, $stops);
    }

    /**
     * @param array<int, array<int, int>> $from
     *
     * @return list<int>
     */
    private function trace(array $from, int $set, int $last, int $stops): array
    {
        $order = [$stops + 1];
        while (true) {
            $order[] = $last + 1;
            $before = $from[$set][$last] ?? null;
            if (null === $before) {
                break;
            }
            $set &= ~(1 << $last);
            $last = $before;
        }
        $order[] = 0;

        return array_reverse($order);
    }
}
