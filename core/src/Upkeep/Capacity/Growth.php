<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Capacity;

/** How a place fills up week by week, and when it will be as full as it should be. Litres. */
final readonly class Growth
{
    /** Two-sided 80 %: a forecast for a drawer need not be surer. */
    private const Z = 1.281552;

    /** Of fewer weeks nothing can be told. */
    private const LEAST_WEEKS = 4;

    /** Beyond so many weeks nobody plans. */
    private const MOST_WEEKS = 260.0;

    private function __construct(public float $aWeek, private float $error)
    {
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
     *
     * @return array{float, float, float|null}|null likely, earliest, latest; no latest where it may as well never be
     */
    public function weeksUntil(float $litres): ?array
    {
        $likely = max(0.0, $litres) / $this->aWeek;
        $slow = $this->aWeek - self::Z * $this->error;

        return $likely > self::MOST_WEEKS
            ? null
            : [$likely, max(0.0, $litres) / ($this->aWeek + self::Z * $this->error), $slow > 0 ? max(0.0, $litres) / $slow : null];
    }
}
