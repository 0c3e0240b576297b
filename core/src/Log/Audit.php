<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** Compares the balances that are believed with those that the log yields. */
final class Audit
{
    /**
     * Returns every difference and every broken law, in order of item and place.
     *
     * @param array<int, array<int, int>> $believed place to quantity, by item
     * @param array<int, array<int, int>> $recomputed place to quantity, by item
     * @param array<int, bool> $inside whether a place is inside, by place
     * @param array<int, Tracking> $trackings by item
     *
     * @return list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}>
     */
    public function differences(array $believed, array $recomputed, array $inside, array $trackings): array
    {
        $found = [];
        $items = array_unique([...array_keys($believed), ...array_keys($recomputed)]);
        sort($items);
        foreach ($items as $item) {
            $places = array_unique([...array_keys($believed[$item] ?? []), ...array_keys($recomputed[$item] ?? [])]);
            sort($places);
            $total = 0;
            foreach ($places as $place) {
                $stored = $believed[$item][$place] ?? 0;
                $true = $recomputed[$item][$place] ?? 0;
                $isInside = $inside[$place] ?? true;
                $total += $isInside ? $true : 0;
                if ($stored !== $true) {
                    $found[] = ['item' => $item, 'place' => $place, 'what' => 'balance differs from the log', 'believed' => $stored, 'recomputed' => $true];
                }
                if ($isInside && $true < 0) {
                    $found[] = ['item' => $item, 'place' => $place, 'what' => 'negative balance', 'believed' => $stored, 'recomputed' => $true];
                }
            }
            if (Tracking::One === ($trackings[$item] ?? null) && $total > 1) {
                $found[] = ['item' => $item, 'place' => null, 'what' => 'a single thing in more than one place', 'believed' => $total, 'recomputed' => $total];
            }
        }

        return $found;
    }
}
