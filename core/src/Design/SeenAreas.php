<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** How much is seen of what lies one on the other. */
final class SeenAreas
{
    /**
     * Returns the area that is seen of each, in square ticks, those of which nothing is seen left out. The areas together are that of all
     * that is covered: the ground is cut along every edge, and each piece of it counts for what lies uppermost there.
     *
     * @param list<Painted> $painted from the bottom up
     *
     * @return array<string, int> by Painted::$of
     */
    public static function of(array $painted): array
    {
        [$xs, $ys] = [self::edges($painted, true), self::edges($painted, false)];
        $areas = [];
        for ($column = 1; $column < \count($xs); ++$column) {
            for ($row = 1; $row < \count($ys); ++$row) {
                $uppermost = self::uppermost($painted, $xs[$column - 1], $ys[$row - 1]);
                if (null !== $uppermost) {
                    $area = ($xs[$column] - $xs[$column - 1]) * ($ys[$row] - $ys[$row - 1]);
                    $areas[$uppermost->of] = ($areas[$uppermost->of] ?? 0) + $area;
                }
            }
        }

        return $areas;
    }

    /** @param list<Painted> $painted */
    private static function uppermost(array $painted, int $x, int $y): ?Painted
    {
        for ($at = \count($painted) - 1; $at >= 0; --$at) {
            if ($painted[$at]->covers($x, $y)) {
                return $painted[$at];
            }
        }

        return null;
    }

    /**
     * @param list<Painted> $painted
     *
     * @return list<int>
     */
    private static function edges(array $painted, bool $isAlongX): array
    {
        $edges = [];
        foreach ($painted as $one) {
            foreach (array_filter([$one->at, $one->hole]) as $rect) {
                array_push($edges, ...($isAlongX ? [$rect->x, $rect->right()] : [$rect->y, $rect->bottom()]));
            }
        }
        $edges = array_unique($edges);
        sort($edges);

        return $edges;
    }
}
