<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** Compares the balances that are believed with those that the log yields, and looks for movements that no law allows. */
final class Audit
{
    /**
     * Returns every difference and every broken law, in order of item and place.
     *
     * @param array<int, array<int, int>> $believed place to quantity, by item
     * @param array<int, array<int, int>> $recomputed place to quantity, by item
     * @param array<int, LoggedPlace> $places by id
     * @param array<int, Tracking> $trackings by item
     *
     * @return list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}>
     */
    public function differences(array $believed, array $recomputed, array $places, array $trackings): array
    {
        $found = [];
        $items = array_unique([...array_keys($believed), ...array_keys($recomputed)]);
        sort($items);
        foreach ($items as $item) {
            $at = array_unique([...array_keys($believed[$item] ?? []), ...array_keys($recomputed[$item] ?? [])]);
            sort($at);
            $total = 0;
            foreach ($at as $place) {
                $stored = $believed[$item][$place] ?? 0;
                $true = $recomputed[$item][$place] ?? 0;
                $total += $this->isInside($places, $place) ? $true : 0;
                foreach ($this->wrong($places[$place] ?? null, $stored, $true) as $what) {
                    $found[] = ['item' => $item, 'place' => $place, 'what' => $what, 'believed' => $stored, 'recomputed' => $true];
                }
            }
            if (Tracking::One === ($trackings[$item] ?? null) && $total > 1) {
                $found[] = ['item' => $item, 'place' => null, 'what' => 'a single thing in more than one place', 'believed' => $total, 'recomputed' => $total];
            }
        }

        return $found;
    }

    /**
     * Returns what no law allows about a movement that is in the log, or null where all is well.
     *
     * @param bool $hasKit whether it was made for a kit
     * @param bool $isAfterRetirement whether one of its places was out of use by then
     */
    public function unlawful(Movement $movement, bool $hasKit, bool $isAfterRetirement): ?string
    {
        return match (true) {
            !$movement->reason->links($movement->from, $movement->to) => \sprintf(
                '“%s” does not lead from %s to %s',
                $movement->reason->value,
                $movement->from->label,
                $movement->to->label,
            ),
            !$hasKit && ($movement->from->isTray() || $movement->to->isTray()) => 'a movement onto or off a tray without a kit',
            $isAfterRetirement => 'a movement of a place that is no longer in use',
            default => null,
        };
    }

    /** @return list<string> */
    private function wrong(?LoggedPlace $place, int $stored, int $true): array
    {
        $wrong = [];
        if ($stored !== $true) {
            $wrong[] = 'balance differs from the log';
        }
        if (($place?->nature->isInside() ?? true) && $true < 0) {
            $wrong[] = 'negative balance';
        }
        if (true === $place?->isRetired && 0 !== $true) {
            $wrong[] = 'something in a place that is no longer in use';
        }

        return $wrong;
    }

    /** @param array<int, LoggedPlace> $places */
    private function isInside(array $places, int $place): bool
    {
        return !isset($places[$place]) || $places[$place]->nature->isInside();
    }
}
