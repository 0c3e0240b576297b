<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/**
 * How much of each item is in each place. A projection of the log: what came in less what went out. Outside places may
 * be negative, inside places never are.
 */
final class Balances
{
    /** @var array<int, array<int, int>> place to quantity, by item */
    private array $quantities = [];

    /** @var array<int, bool> whether a place is inside */
    private array $inside = [];

    /** Takes over a stored balance without judging it. */
    public function load(int $item, LoggedPlace $place, int $quantity): void
    {
        $this->inside[$place->id] = $place->nature->isInside();
        $this->set($item, $place->id, $quantity);
    }

    /** Returns the quantity of an item in a place. */
    public function of(int $item, int $place): int
    {
        return $this->quantities[$item][$place] ?? 0;
    }

    /**
     * Adds a movement.
     *
     * @throws RefusedMovement if there is not enough where it comes from, a single thing would be in two places, its reason does
     *                         not link the two places, or one of them is no longer in use
     */
    public function post(Movement $movement): void
    {
        foreach ([$movement->from, $movement->to] as $place) {
            if ($place->isRetired) {
                throw RefusedMovement::placeIsRetired($place->label);
            }
        }
        if (!$movement->reason->links($movement->from, $movement->to)) {
            throw RefusedMovement::reasonDoesNotLink($movement->reason, $movement->from->label, $movement->to->label);
        }
        $there = $this->of($movement->item, $movement->from->id);
        if ($movement->from->nature->isInside() && $there < $movement->quantity) {
            throw RefusedMovement::notEnough($movement->from->label, max(0, $there), $movement->tracking);
        }
        if (Tracking::One === $movement->tracking && !$movement->from->nature->isInside() && $this->inside($movement->item) > 0) {
            throw RefusedMovement::onlyOneThing();
        }
        $this->apply($movement);
    }

    /** Adds a movement that is in the log already, whatever it does; the audit recomputes with this. */
    public function apply(Movement $movement): void
    {
        $this->inside[$movement->from->id] = $movement->from->nature->isInside();
        $this->inside[$movement->to->id] = $movement->to->nature->isInside();
        $this->set($movement->item, $movement->from->id, $this->of($movement->item, $movement->from->id) - $movement->quantity);
        $this->set($movement->item, $movement->to->id, $this->of($movement->item, $movement->to->id) + $movement->quantity);
    }

    /** Returns how much of an item is inside the room, wherever it is. */
    public function inside(int $item): int
    {
        $sum = 0;
        foreach ($this->quantities[$item] ?? [] as $place => $quantity) {
            $sum += $this->inside[$place] ? $quantity : 0;
        }

        return $sum;
    }

    /** @return array<int, array<int, int>> place to quantity, by item; nothing where the quantity is 0 */
    public function all(): array
    {
        return $this->quantities;
    }

    /** Counts all of an item in another way from here on. */
    public function convert(int $item, Retracking $retracking): void
    {
        foreach ($this->quantities[$item] ?? [] as $place => $quantity) {
            $this->set($item, $place, $retracking->converted($quantity));
        }
    }

    private function set(int $item, int $place, int $quantity): void
    {
        if (0 === $quantity) {
            unset($this->quantities[$item][$place]);
            if ([] === ($this->quantities[$item] ?? [])) {
                unset($this->quantities[$item]);
            }

            return;
        }
        $this->quantities[$item][$place] = $quantity;
    }
}
