<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** How much can be worked on which day: as much on each weekday, and other amounts on single days. In any unit, in whole numbers. */
final readonly class WorkingHours
{
    /**
     * @param array<int, int> $week by weekday, from 1 for Monday to 7 for Sunday
     * @param array<int, int> $days by the number of a Day
     */
    public function __construct(private array $week, private array $days = [])
    {
    }

    /** @param int $day the number of a Day */
    public function on(int $day): int
    {
        return $this->days[$day] ?? $this->week[Day::weekdayOf($day)] ?? 0;
    }

    /** Returns what can be worked in so many days, beginning with one. */
    public function from(Day $first, int $days = 7): int
    {
        return array_sum(array_map($this->on(...), range($first->number, $first->number + max(1, $days) - 1)));
    }
}
