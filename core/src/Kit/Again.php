<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Log\Tracking;

/** How much of a thing another number of pieces takes. */
final class Again
{
    /**
     * Returns the quantity for the new number of pieces, never less than one of what is counted; what is pulled whole, or nobody knows how it
     * was shared, stays as it is.
     *
     * @param int|null $before pieces that the old list was for, null where it said no number
     */
    public static function quantity(Tracking $tracking, int $quantity, ?int $before, int $now): int
    {
        return $tracking->movesWhole() || null === $before || $before < 1 ? $quantity : max(1, (int) ceil($quantity * $now / $before));
    }
}
