<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Capacity;

use Lottel\Core\Log\Reason;

/** How a place fills up week by week, and when it will be as full as it should be. Litres. */
final readonly class Growth
{
    /** Two-sided 80 %: a forecast for a drawer need not be surer. */
    private const Z = 1.281552;

    /** Of fewer weeks nothing can be told. */
    private const LEAST_WEEKS = 4;

    /** Beyond so many weeks nobody plans. */
    private const MOST_WEEKS = 260.0;

    /** So many weeks are looked at. */
    private const LOOKED_AT = 26;

    /** Going to a kit and coming back is no growth of a place. */
    public const PASSES = [Reason::Pull, Reason::PutBack, Reason::Park];

    /** What is used up out of a kit's hands leaves its home for good. */
    public const USES_UP = [Reason::Use, Reason::Cut];

    private function __construct(public float $aWeek, private float $error)
    {
    }

    /**
     * Returns since when the log tells of growth: what came in in its first week was there before.
     *
     * @param \DateTimeImmutable|null $began when the first line of the log was written; null where there is none
     */
    public static function since(\DateTimeImmutable $now, ?\DateTimeImmutable $began): \DateTimeImmutable
    {
        return min($now, max($now->modify(\sprintf('-%d weeks', self::LOOKED_AT)), $began?->modify('+1 week') ?? $now));
    }

    /**
     * Returns the growth of a place since then.
     *
     * @param array<int, float> $litres what came in less what went out, by the days since; days of which nothing is said had no change
     *
     * @return self|null null where that is too short to tell, or it does not grow
     */
    public static function byDay(array $litres, \DateTimeImmutable $since, \DateTimeImmutable $now): ?self
    {
        $many = intdiv((int) $since->diff($now)->days, 7);
        if ($many < self::LEAST_WEEKS) {
            return null;
        }
        $weeks = array_fill(0, $many, 0.0);
        foreach ($litres as $day => $change) {
            $weeks[max(0, min($many - 1, intdiv($day, 7)))] += $change;
        }

        return self::of(array_values($weeks));
    }

    /** @param list<float> $weeks what came in less what went out, week by week; null where that is too short to tell, or it does not grow */
    public static function of(array $weeks): ?self
    {
        $many = \count($weeks);
        if ($many < self::LEAST_WEEKS) {
            return null;
        }
        $mean = array_sum($weeks) / $many;
        $spread = array_sum(array_map(static fn (float $week): float => ($week - $mean) ** 2, $weeks)) / ($many - 1);

        return $mean > 0 ? new self($mean, sqrt($spread / $many)) : null;
    }

    /**
     * Returns after how many weeks so much more will have come in, with the earliest and the latest of 80 in 100 cases; null where that is
     * not within five years.
     */
    public function weeksUntil(float $litres): ?UntilFull
    {
        $likely = max(0.0, $litres) / $this->aWeek;
        $slow = $this->aWeek - self::Z * $this->error;

        return $likely > self::MOST_WEEKS
            ? null
            : new UntilFull($likely, max(0.0, $litres) / ($this->aWeek + self::Z * $this->error), $slow > 0 ? max(0.0, $litres) / $slow : null);
    }
}
