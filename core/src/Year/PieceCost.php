<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** What a quantity cost at the price that was paid for another quantity of it. */
final class PieceCost
{
    /**
     * Returns whole cents, to the nearest.
     *
     * @param int $used and $of quantities as the thing's tracking counts them, $of above 0
     */
    public static function of(int $used, int $cents, int $of): int
    {
        return (int) round($used * $cents / max(1, $of));
    }
}
