<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/**
 * From a point of the log on an item is counted in another way: so much as it was counted is so much as it is counted now.
 * Quantities as in Tracking.
 */
final readonly class Retracking
{
    private function __construct(public Tracking $from, public Tracking $to, public int $was, public int $becomes)
    {
    }

    /**
     * Returns the change by which $was in the old way are $becomes in the new one.
     *
     * @throws RefusedRetracking if nothing would change, or a quantity is not above 0
     */
    public static function of(Tracking $from, Tracking $to, int $was, int $becomes): self
    {
        if ($from === $to) {
            throw RefusedRetracking::staysTheSame();
        }
        if ($was < 1 || $becomes < 1) {
            throw RefusedRetracking::factorIsNothing();
        }

        return new self($from, $to, $was, $becomes);
    }

    /** Returns a quantity in the new way, to the nearest whole, halves away from nothing. */
    public function converted(int $quantity): int
    {
        $size = intdiv(2 * abs($quantity) * $this->becomes + $this->was, 2 * $this->was);

        return $quantity < 0 ? -$size : $size;
    }

    /** Returns what is wanted of it in the new way: one at the least, and one where it is pulled whole. */
    public function wanted(int $quantity): int
    {
        return $this->to->movesWhole() ? 1 : max(1, $this->converted($quantity));
    }

    /**
     * Returns a quantity that is in the room in the new way.
     *
     * @throws RefusedRetracking if it does not come out even, or cannot be counted so
     */
    public function exactly(int $quantity, string $place): int
    {
        $converted = $this->converted($quantity);
        if ($converted * $this->was !== $quantity * $this->becomes) {
            throw RefusedRetracking::isNotEven($place);
        }
        try {
            $this->to->check($converted);
        } catch (RefusedMovement) {
            throw RefusedRetracking::cannotBeCountedSo($place);
        }

        return $converted;
    }
}
