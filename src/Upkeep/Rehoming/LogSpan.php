<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

/** The stretch of the log that use is read from. */
final readonly class LogSpan
{
    private const DAYS_IN_MONTH = 365.25 / 12;

    /** @param int $days that it is long, at least 1 */
    public function __construct(public \DateTimeImmutable $since, public int $days)
    {
    }

    /** A log of a few days says nothing of a month: it counts as one of a month. */
    public function aMonth(int $uses): float
    {
        return $uses * self::DAYS_IN_MONTH / max(self::DAYS_IN_MONTH, $this->days);
    }

    public function weeks(): int
    {
        return max(1, (int) round($this->days / 7));
    }
}
