<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

use Lottel\Core\Furniture\Address;

/** Unit after unit along the walls, in each from top to bottom and left to right, lower layers after what lies on them. */
final class WalkingOrder
{
    /**
     * Returns one stop a place, in walking order.
     *
     * @param list<Stop> $stops
     *
     * @return list<Stop>
     */
    public function of(array $stops): array
    {
        $once = [];
        foreach ($stops as $stop) {
            $once[$stop->place] ??= $stop;
        }
        $ordered = array_values($once);
        usort($ordered, static fn (Stop $a, Stop $b): int => [$a->walk, $a->top, $a->left, $a->layer] <=> [$b->walk, $b->top, $b->left, $b->layer] ?: Address::compare($a->address, $b->address));

        return $ordered;
    }
}
