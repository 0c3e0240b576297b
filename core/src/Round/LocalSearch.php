<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/**
 * 2-opt (Croes, 1958) and Or-opt (Or, 1976) until neither helps, then a small upset by a double bridge (Martin, Otto and
 * Felten, 1991), again and again a fixed number of times; start and end stay where they are.
 */
final class LocalSearch
{
    private const WORK = 6_000;

    private int $dice = 1;

    /**
     * Returns the best order of all nodes that was found, start first and end last.
     *
     * @param list<list<float>> $cost
     *
     * @return list<int>
     */
    public function improve(array $cost, int $stops): array
    {
        $this->dice = 20_261_125;
        $best = $this->settle($cost, $this->nearest($cost, $stops));
        $bestLength = $this->length($cost, $best);
        $upsets = $stops > 3 ? intdiv(self::WORK * min(60, $stops), $stops * $stops) : 0;
        for ($i = 0; $i < $upsets; ++$i) {
            $tried = $this->settle($cost, $this->upset($best));
            $length = $this->length($cost, $tried);
            if ($length < $bestLength - 1e-9) {
                [$best, $bestLength] = [$tried, $length];
            }
        }

        return $best;
    }

    /**
     * @param list<list<float>> $cost
     *
     * @return list<int>
     */
    private function nearest(array $cost, int $stops): array
    {
        $order = [0];
        $open = array_fill_keys(range(1, $stops), true);
        while ([] !== $open) {
            $row = $cost[$order[\count($order) - 1]];
            $next = array_key_first($open);
            foreach ($open as $node => $_) {
                if ($row[$node] < $row[$next]) {
                    $next = $node;
                }
            }
            $order[] = $next;
            unset($open[$next]);
        }
        $order[] = $stops + 1;

        return $order;
    }

    /**
     * @param list<list<float>> $cost
     * @param list<int> $order
     *
     * @return list<int>
     */
    private function settle(array $cost, array $order): array
    {
        do {
            $before = $order;
            $order = $this->orOpt($cost, $this->twoOpt($cost, $order));
        } while ($order !== $before);

        return $order;
    }

    /**
     * @param list<list<float>> $cost
     * @param list<int> $order
     *
     * @return list<int>
     */
    private function twoOpt(array $cost, array $order): array
    {
        $last = \count($order) - 1;
        do {
            $helped = false;
            for ($i = 1; $i < $last - 1; ++$i) {
                $before = $order[$i - 1];
                $first = $order[$i];
                $rowBefore = $cost[$before];
                $rowFirst = $cost[$first];
                $edge = $rowBefore[$first];
                for ($j = $i + 1; $j < $last; ++$j) {
                    $node = $order[$j];
                    $after = $order[$j + 1];
                    if ($rowBefore[$node] >= $edge && $rowFirst[$after] >= $cost[$node][$after]) {
                        continue;
                    }
                    if ($rowBefore[$node] + $rowFirst[$after] < $edge + $cost[$node][$after] - 1e-9) {
                        array_splice($order, $i, $j - $i + 1, array_reverse(\array_slice($order, $i, $j - $i + 1)));
                        $first = $order[$i];
                        $rowFirst = $cost[$first];
                        $edge = $rowBefore[$first];
                        $helped = true;
                    }
                }
            }
        } while ($helped);

        return $order;
    }

    /**
     * @param list<list<float>> $cost
     * @param list<int> $order
     *
     * @return list<int>
     */
    private function orOpt(array $cost, array $order): array
    {
        $last = \count($order) - 1;
        for ($size = 1; $size <= 3; ++$size) {
            for ($i = 1; $i + $size <= $last; ++$i) {
                $moved = $this->moveSegment($cost, $order, $i, $size);
                if (null !== $moved) {
                    $order = $moved;
                }
            }
        }

        return $order;
    }

    /**
     * Returns the order with a segment moved to where it helps most, either way round; null where it stands best.
     *
     * @param list<list<float>> $cost
     * @param list<int> $order
     *
     * @return list<int>|null
     */
    private function moveSegment(array $cost, array $order, int $from, int $size): ?array
    {
        $segment = \array_slice($order, $from, $size);
        [$head, $tail] = [$segment[0], $segment[$size - 1]];
        [$before, $after] = [$order[$from - 1], $order[$from + $size]];
        $gain = $cost[$before][$head] + $cost[$tail][$after] - $cost[$before][$after];
        if ($gain <= 1e-9) {
            return null;
        }
        $rest = $order;
        array_splice($rest, $from, $size);
        $best = -1e-9;
        $spot = null;
        for ($k = 1, $count = \count($rest); $k < $count; ++$k) {
            [$left, $right] = [$rest[$k - 1], $rest[$k]];
            $base = $cost[$left][$right] + $gain;
            $straight = $cost[$left][$head] + $cost[$tail][$right] - $base;
            $turned = $cost[$left][$tail] + $cost[$head][$right] - $base;
            if (min($straight, $turned) < $best) {
                $best = min($straight, $turned);
                $spot = [$k, $turned < $straight];
            }
        }
        if (null === $spot) {
            return null;
        }
        array_splice($rest, $spot[0], 0, $spot[1] ? array_reverse($segment) : $segment);

        return $rest;
    }

    /**
     * @param list<int> $order
     *
     * @return list<int>
     */
    private function upset(array $order): array
    {
        $inner = \count($order) - 2;
        $length = min($inner, 30);
        $start = 1 + ($inner > $length ? $this->roll($inner - $length + 1) : 0);
        $cuts = [$this->roll($length - 1), $this->roll($length - 1), $this->roll($length - 1)];
        sort($cuts);
        [$a, $b, $c] = [$start + $cuts[0], $start + $cuts[1] + 1, $start + $cuts[2] + 1];

        return [...\array_slice($order, 0, $a), ...\array_slice($order, $b, $c - $b), ...\array_slice($order, $a, $b - $a), ...\array_slice($order, $c)];
    }

    /** A small linear congruential generator, so that the search is the same each time. */
    private function roll(int $below): int
    {
        $this->dice = ($this->dice * 1_103_515_245 + 12_345) & 0x7FFFFFFF;

        return ($this->dice >> 8) % max(1, $below);
    }

    /**
     * @param list<list<float>> $cost
     * @param list<int> $order
     */
    private function length(array $cost, array $order): float
    {
        $length = 0.0;
        for ($i = 1, $count = \count($order); $i < $count; ++$i) {
            $length += $cost[$order[$i - 1]][$order[$i]];
        }

        return $length;
    }
}
