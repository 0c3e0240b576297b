<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/**
 * Walking distances around obstacles: shortest paths in the visibility graph, whose bends are corners of obstacles
 * (Lozano-Pérez and Wesley, 1979).
 */
final class FloorPlan
{
    /** @var list<Point> */
    private array $corners = [];

    /** @var list<list<float>> */
    private array $betweenCorners = [];

    /** @param list<Obstacle> $obstacles */
    public function __construct(private readonly array $obstacles)
    {
    }

    /** Whether nothing stands on a point. */
    public function isFree(Point $point): bool
    {
        foreach ($this->obstacles as $obstacle) {
            if ($obstacle->contains($point)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Returns the walking distance in millimetres from each point to each other one; INF where there is no way.
     *
     * @param list<Point> $points
     *
     * @return list<list<float>> symmetric, 0 on the diagonal
     */
    public function distances(array $points): array
    {
        $count = \count($points);
        $distances = array_fill(0, $count, array_fill(0, $count, 0.0));
        $hidden = [];
        for ($i = 0; $i < $count; ++$i) {
            for ($j = $i + 1; $j < $count; ++$j) {
                if ($this->sees($points[$i], $points[$j])) {
                    $distances[$i][$j] = $distances[$j][$i] = $points[$i]->distanceTo($points[$j]);
                } else {
                    $hidden[] = [$i, $j];
                }
            }
        }
        $reach = [];
        if ([] !== $hidden) {
            $this->corners = $this->freeCorners();
            $this->betweenCorners = $this->shortest();
            $reach = array_map($this->reach(...), $points);
        }
        foreach ($hidden as [$i, $j]) {
            $distances[$i][$j] = $distances[$j][$i] = $this->aroundCorners($reach[$i], $reach[$j]);
        }

        return array_map(array_values(...), $distances);
    }

    private function sees(Point $from, Point $to): bool
    {
        foreach ($this->obstacles as $obstacle) {
            if ($obstacle->blocks($from, $to)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Returns the straight distance to each corner that is seen from a point.
     *
     * @return array<int, float> by corner
     */
    private function reach(Point $point): array
    {
        $reach = [];
        foreach ($this->corners as $index => $corner) {
            if ($this->sees($point, $corner)) {
                $reach[$index] = $point->distanceTo($corner);
            }
        }

        return $reach;
    }

    /**
     * @param array<int, float> $from
     * @param array<int, float> $to
     */
    private function aroundCorners(array $from, array $to): float
    {
        $best = \INF;
        foreach ($from as $i => $there) {
            if ($there >= $best) {
                continue;
            }
            $row = $this->betweenCorners[$i];
            foreach ($to as $j => $onward) {
                $best = min($best, $there + $row[$j] + $onward);
            }
        }

        return $best;
    }

    /** @return list<Point> */
    private function freeCorners(): array
    {
        $corners = [];
        foreach ($this->obstacles as $obstacle) {
            foreach ($obstacle->corners() as $corner) {
                if ($this->isFree($corner)) {
                    $corners[$corner->x.'/'.$corner->y] = $corner;
                }
            }
        }

        return array_values($corners);
    }

    /** @return list<list<float>> between all corners, by Floyd and Warshall */
    private function shortest(): array
    {
        $count = \count($this->corners);
        $distance = array_fill(0, $count, array_fill(0, $count, \INF));
        for ($i = 0; $i < $count; ++$i) {
            $distance[$i][$i] = 0.0;
            for ($j = $i + 1; $j < $count; ++$j) {
                if ($this->sees($this->corners[$i], $this->corners[$j])) {
                    $distance[$i][$j] = $distance[$j][$i] = $this->corners[$i]->distanceTo($this->corners[$j]);
                }
            }
        }
        for ($k = 0; $k < $count; ++$k) {
            $through = $distance[$k];
            for ($i = 0; $i < $count; ++$i) {
                $first = $distance[$i][$k];
                if (\INF === $first) {
                    continue;
                }
                foreach ($through as $j => $second) {
                    if ($first + $second < $distance[$i][$j]) {
                        $distance[$i][$j] = $first + $second;
                    }
                }
            }
        }

        return array_map(array_values(...), $distance);
    }
}
