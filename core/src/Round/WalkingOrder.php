<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

use Lottel\Core\Furniture\Address;

/**
 * Unit after unit along the walls, in each from top to bottom and left to right, lower layers after what lies on them. Units
 * with something heavy or hot come last, or first where hands are full at the beginning.
 */
final class WalkingOrder
{
    /**
     * Returns one stop a place, in walking order.
     *
     * @param list<Stop> $stops
     * @param list<int> $heavy places at which something heavy or hot is handled
     * @param bool $isHeavyFirst whether these come first instead of last
     *
     * @return list<Stop>
     */
    public function of(array $stops, array $heavy = [], bool $isHeavyFirst = false): array
    {
        $once = [];
        foreach ($stops as $stop) {
            $once[$stop->place] ??= $stop;
        }
        $heavyUnits = array_map(static fn (int $place): int => $once[$place]->walk ?? -1, $heavy);
        $turn = static fn (Stop $stop): int => \in_array($stop->walk, $heavyUnits, true) === $isHeavyFirst ? 0 : 1;
        $ordered = array_values($once);
        usort(
            $ordered,
            static fn (Stop $a, Stop $b): int => [$turn($a), $a->walk, $a->top, $a->left, $a->layer] <=> [
                $turn($b),
                $b->walk,
                $b->top,
                $b->left,
                $b->layer,
            ] ?:
            Address::compare($a->address, $b->address),
        );

        return $ordered;
    }
}
