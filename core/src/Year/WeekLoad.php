<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Measure\Duration;

/** How full a week is. Minutes. */
final readonly class WeekLoad
{
    /**
     * @param int $free that can be worked
     * @param int $planned that are worked in it
     * @param int $wanted that would be worked in it if each kit were begun as late as its own date allows, whatever the others want
     */
    private function __construct(public Day $monday, public int $free, public int $planned, public int $wanted)
    {
    }

    /**
     * @param array<array-key, WorkDays> $plan
     * @param array<array-key, WorkDays> $alone the same kits, each as if it were the only one
     *
     * @return list<self>
     */
    public static function weeks(Day $first, int $weeks, WorkingHours $hours, Day $today, array $plan, array $alone): array
    {
        $loads = [];
        for ($week = 0; $week < $weeks; ++$week) {
            $monday = $first->monday()->plus(7 * $week);
            $begins = $monday->number < $today->number ? $today : $monday;
            $left = 7 - $monday->until($begins);
            $loads[] = new self($monday, $left > 0 ? $hours->from($begins, $left) : 0, self::in($monday, $plan), self::in($monday, $alone));
        }

        return $loads;
    }

    /**
     * Returns the Monday of the first week that has so many minutes left; null where none has.
     *
     * @param list<self> $weeks
     */
    public static function firstWithRoom(array $weeks, int $minutes): ?Day
    {
        foreach ($weeks as $week) {
            if ($week->free - $week->planned >= $minutes) {
                return $week->monday;
            }
        }

        return null;
    }

    public function isOverFull(): bool
    {
        return $this->wanted > $this->free;
    }

    public function inWords(): string
    {
        return ($this->isOverFull() ? Duration::ofMinutes($this->wanted)->hours(true) : Duration::ofMinutes($this->planned)->hours()).
            ' of '.Duration::ofMinutes($this->free)->hours();
    }

    /** @param array<array-key, WorkDays> $plan */
    private static function in(Day $monday, array $plan): int
    {
        $sum = 0;
        foreach ($plan as $days) {
            foreach ($days->work as $day => $minutes) {
                $sum += $day >= $monday->number && $day < $monday->number + 7 ? $minutes : 0;
            }
        }

        return $sum;
    }
}
