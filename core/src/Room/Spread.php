<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** Sets things on a line as near as may be to where they want to stand, none nearer to the next than so much. */
final class Spread
{
    /**
     * Returns where each stands: neighbours that would come too near share their way.
     *
     * @param list<float> $wanted in rising order
     * @param float $apart the least distance between two neighbours
     * @param float $last the farthest that one may stand; all are drawn together where there is no room for them
     *
     * @return list<float>
     */
    public static function over(array $wanted, float $apart, float $last): array
    {
        $most = \count($wanted) > 1 ? min($apart, $last / (\count($wanted) - 1)) : $apart;
        $blocks = [];
        foreach ($wanted as $at => $where) {
            $blocks[] = [$where - $at * $most, 1];
            while (\count($blocks) > 1 && $blocks[\count($blocks) - 2][0] > $blocks[\count($blocks) - 1][0]) {
                [$b, $ofB] = array_pop($blocks);
                [$a, $ofA] = array_pop($blocks);
                $blocks[] = [($a * $ofA + $b * $ofB) / ($ofA + $ofB), $ofA + $ofB];
            }
        }
        $starts = [];
        foreach ($blocks as [$start, $many]) {
            array_push($starts, ...array_fill(0, $many, $start));
        }
        $room = $last - (\count($wanted) - 1) * $most;

        return array_map(static fn (float $start, int $at): float => max(0.0, min($room, $start)) + $at * $most, $starts, array_keys($starts));
    }
}
