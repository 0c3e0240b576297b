<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

/**
 * The cheapest way to give each of some rows a column of its own (Kuhn 1955, Munkres 1957: the Hungarian method, here with potentials
 * and shortest augmenting paths, from memory).
 */
final class Assignment
{
    private const FORBIDDEN = 1e12;

    /**
     * Gives as many rows a column as can have one, and of all such ways the cheapest.
     *
     * @param list<list<float|null>> $costs by row and column; null where that cannot be
     *
     * @return list<int|null> the column of each row
     */
    public static function cheapest(array $costs): array
    {
        $rows = \count($costs);
        $columns = \count($costs[0] ?? []);
        if (0 === $rows || 0 === $columns) {
            return array_fill(0, $rows, null);
        }
        // One column more for each row: that it has none.
        $cost = static fn (int $row, int $column): float => $column < $columns ? $costs[$row][$column] ?? 2 * self::FORBIDDEN : self::FORBIDDEN;
        $of = self::augment($rows, $columns + $rows, $cost);
        $chosen = array_fill(0, $rows, null);
        foreach ($of as $column => $row) {
            if ($column < $columns && null !== $row && null !== $costs[$row][$column]) {
                $chosen[$row] = $column;
            }
        }

        return array_values($chosen);
    }

    /**
     * @param callable(int, int): float $cost
     *
     * @return array<int, int|null> the row of each column
     */
    private static function augment(int $rows, int $columns, callable $cost): array
    {
        $u = array_fill(0, $rows, 0.0);
        $v = array_fill(0, $columns, 0.0);
        $rowOf = array_fill(0, $columns, null);
        for ($start = 0; $start < $rows; ++$start) {
            [$least, $from] = [array_fill(0, $columns, \INF), array_fill(0, $columns, null)];
            $done = array_fill(0, $columns, false);
            [$row, $last] = [$start, null];
            do {
                if (null !== $last) {
                    $done[$last] = true;
                }
                [$delta, $next] = [\INF, 0];
                for ($column = 0; $column < $columns; ++$column) {
                    if ($done[$column]) {
                        continue;
                    }
                    $reduced = $cost($row, $column) - $u[$row] - $v[$column];
                    if ($reduced < $least[$column]) {
                        [$least[$column], $from[$column]] = [$reduced, $last];
                    }
                    if ($least[$column] < $delta) {
                        [$delta, $next] = [$least[$column], $column];
                    }
                }
                $u[$start] += $delta;
                for ($column = 0; $column < $columns; ++$column) {
                    if ($done[$column]) {
                        $u[(int) $rowOf[$column]] += $delta;
                        $v[$column] -= $delta;
                    } else {
                        $least[$column] -= $delta;
                    }
                }
                $last = $next;
                $row = (int) $rowOf[$next];
            } while (null !== $rowOf[$next]);
            while (null !== $from[$last]) {
                $rowOf[$last] = $rowOf[$from[$last]];
                $last = $from[$last];
            }
            $rowOf[$last] = $start;
        }

        return $rowOf;
    }
}
