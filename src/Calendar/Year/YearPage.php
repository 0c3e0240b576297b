<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\Day;
use Lottel\Core\Year\TodayAtBench;
use Lottel\Core\Year\WeekLoad;

/** Some weeks of the year, as its page shows them. */
final readonly class YearPage
{
    /**
     * @param list<WeekLoad> $weeks nothing where nobody has said when somebody is at the bench
     * @param list<KitInYear> $kits those with a date first, in its order
     * @param list<DateInYear> $dates in the order of their days
     * @param list<string> $warnings
     * @param list<DayNote> $notes
     */
    public function __construct(
        public Day $today,
        public Day $first,
        public int $many,
        public array $weeks,
        public array $kits,
        public array $dates,
        public ?TodayAtBench $now,
        public array $warnings,
        public array $notes,
    ) {
    }

    public function last(): Day
    {
        return $this->first->plus(7 * $this->many - 1);
    }

    public function kit(int $id): ?KitInYear
    {
        return array_values(array_filter($this->kits, static fn (KitInYear $one): bool => $one->kit->id === $id))[0] ?? null;
    }

    /** The kit to work on first. */
    public function next(): ?KitInYear
    {
        return null === $this->now?->first ? null : $this->kit((int) $this->now->first);
    }

    /** @return list<WeekInYear> those of its weeks in which anything is */
    public function weeksWithSomething(): array
    {
        $weeks = array_map(fn (int $nth): WeekInYear => WeekInYear::of($this, $nth), range(0, $this->many - 1));

        return array_values(array_filter($weeks, static fn (WeekInYear $week): bool => !$week->isEmpty()));
    }

    /** @return list<KitInYear> those that are due in these weeks, or worked on */
    public function dated(): array
    {
        return array_values(array_filter($this->kits, fn (KitInYear $one): bool => null !== $one->due
            && ($one->due->number >= $this->first->number || null !== $one->plan)
            && min($one->due->number, $one->plan?->start()->number ?? $one->due->number) <= $this->last()->number));
    }

    /** @return list<KitInYear> */
    public function undated(): array
    {
        return array_values(array_filter($this->kits, static fn (KitInYear $one): bool => null === $one->due));
    }
}
