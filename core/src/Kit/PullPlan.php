<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

/** Decides from which places a kit's list is pulled: an item's home first, then where most of it is. Quantities as in Tracking. */
final class PullPlan
{
    /**
     * Returns how much to take from which place, and how much is in no place of storage.
     *
     * @param int $wanted still to be taken
     * @param array<int, int> $stored quantity by place, storage only
     * @param int|null $home the item's home
     * @param bool $isWhole whether a pull takes all that is there
     *
     * @return array{from: array<int, int>, missing: int}
     */
    public function split(int $wanted, array $stored, ?int $home, bool $isWhole): array
    {
        $places = array_keys(array_filter($stored, static fn (int $quantity): bool => $quantity > 0));
        usort($places, static fn (int $a, int $b): int => [$b === $home, $stored[$b], $a] <=> [$a === $home, $stored[$a], $b]);
        if ($isWhole) {
            return [] === $places ? ['from' => [], 'missing' => $wanted] : ['from' => [$places[0] => $stored[$places[0]]], 'missing' => 0];
        }
        $from = [];
        foreach ($places as $place) {
            $part = min($wanted, $stored[$place]);
            if ($part > 0) {
                $from[$place] = $part;
                $wanted -= $part;
            }
        }

        return ['from' => $from, 'missing' => $wanted];
    }
}
