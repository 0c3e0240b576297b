<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

/**
 * How much of a thing is used up in a week, with what is sure about it, in units of its tracking. The interval is that of the mean of the
 * weeks (80 of 100 cases). Of what was used in one week only nothing can be told.
 */
final readonly class BurnRate
{
    private const Z = 1.281552;

    /** Of fewer weeks, or of less weeks with any use, nothing can be told. */
    private const LEAST_WEEKS = 4;
    private const LEAST_USED = 2;

    /** A season is told from a whole year, and is taken to be at most so much more, or less, than the rest of it. */
    private const RECENT = 26;
    private const YEAR = 52;
    private const MOST_SEASON = 3.0;

    private const WEEKS_IN_MONTH = 365.25 / 12 / 7;

    private function __construct(public float $aWeek, public float $least, public float $most, public float $season)
    {
    }

    /**
     * Returns the rate for the weeks to come; null where the log is too short, or nothing is used.
     *
     * @param list<int> $weeks what was used up, week by week, the last week last
     * @param int $ahead for so many weeks to come, of which the same weeks of last year tell the season
     */
    public static function of(array $weeks, int $ahead = 8): ?self
    {
        $many = \count($weeks);
        $recent = \array_slice($weeks, -self::RECENT);
        if ($many < self::LEAST_WEEKS || \count(array_filter($recent, static fn (int $week): bool => $week > 0)) < self::LEAST_USED) {
            return null;
        }
        $mean = array_sum($recent) / \count($recent);
        $season = self::season($weeks, $ahead);
        $spread = array_sum(array_map(static fn (int $week): float => ($week - $mean) ** 2, $recent)) / (\count($recent) - 1);
        $error = self::Z * sqrt($spread / \count($recent));

        return $mean * $season <= 0 ? null : new self($mean * $season, max(0.0, $mean - $error) * $season, ($mean + $error) * $season, $season);
    }

    /** Whether less than a unit goes in a week, so that it is told by the month. */
    public function isByMonth(): bool
    {
        return $this->aWeek < 1;
    }

    /** Returns how many units are used up in a week, or a month: at the least one. */
    public function told(): int
    {
        return max(1, (int) round($this->aWeek * ($this->isByMonth() ? self::WEEKS_IN_MONTH : 1)));
    }

    /** @param list<int> $weeks */
    private static function season(array $weeks, int $ahead): float
    {
        $many = \count($weeks);
        if ($many < self::YEAR) {
            return 1.0;
        }
        $year = \array_slice($weeks, -self::YEAR);
        $same = \array_slice($year, 0, $ahead);
        $usual = array_sum($year) / self::YEAR;
        $then = array_sum($same) / max(1, \count($same));

        return $usual <= 0 ? 1.0 : max(1 / self::MOST_SEASON, min(self::MOST_SEASON, $then / $usual));
    }
}
