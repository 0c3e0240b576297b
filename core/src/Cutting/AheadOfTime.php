<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Judges which pieces that are kept ready-cut run low, and how many restore them (common practice, no source). */
final class AheadOfTime
{
    private const DAYS_LOW = 30;
    private const DAYS_FULL = 60;

    /**
     * Returns how many are to be cut: as many as are used in two months, where fewer are free than in one; what kits wait for
     * beyond what is there always; else none.
     *
     * @param int $wished what kits want and have not taken yet
     * @param int $used how many were used in so many days
     */
    public static function lacking(int $there, int $wished, int $used, int $days): int
    {
        $free = $there - $wished;
        $isLow = $free < 0 || $free * $days < $used * self::DAYS_LOW;

        return $isLow ? max(0, (int) ceil($used * self::DAYS_FULL / max(1, $days)) - $free) : 0;
    }

    /** Returns for how many weeks what is free lasts; null where none was used, so that nobody knows. */
    public static function weeks(int $there, int $wished, int $used, int $days): ?int
    {
        return 0 === $used ? null : intdiv(max(0, $there - $wished) * $days, 7 * $used);
    }
}
