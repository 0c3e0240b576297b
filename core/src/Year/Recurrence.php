<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** A date of one year, or of every year from one on. */
final readonly class Recurrence
{
    /** Nothing is looked for further ahead. */
    public const MOST_YEARS_AHEAD = 200;

    /**
     * @param int|null $year the year of the date, or the first one; null where nobody knows when it began
     */
    private function __construct(public int $month, public int $day, public ?int $year, public bool $isYearly)
    {
    }

    public static function kept(int $month, int $day, ?int $year, bool $isYearly): self
    {
        return new self($month, $day, $year, $isYearly);
    }

    public static function once(Day $day): self
    {
        return new self($day->month(), $day->dayOfMonth(), $day->year(), false);
    }

    /** Returns the date that comes every year; null where no year has such a day. 29 February is kept on the 28th of common years. */
    public static function yearly(int $month, int $day, ?int $firstYear = null): ?self
    {
        return checkdate($month, $day, 2000) ? new self($month, $day, $firstYear, true) : null;
    }

    /** @return list<Day> the days from one to another, both included */
    public function between(Day $from, Day $until): array
    {
        $days = [];
        foreach ($this->isYearly ? range($from->year(), $until->year()) : [$this->year ?? 0] as $year) {
            $day = $this->in($year);
            if (null !== $day && $day->number >= $from->number && $day->number <= $until->number) {
                $days[] = $day;
            }
        }

        return $days;
    }

    /** Returns the first of its days from one on; null where there is none. */
    public function next(Day $from): ?Day
    {
        $until = Day::on($from->year() + ($this->isYearly ? 1 : self::MOST_YEARS_AHEAD), 12, 31);
        $first = $this->isYearly && null !== $this->year && $this->year > $from->year() ? $this->in($this->year) : null;

        return $first ?? (null === $until ? null : $this->between($from, $until)[0] ?? null);
    }

    /** Returns its day in a year; null where it is not kept in that year. */
    public function in(int $year): ?Day
    {
        if ($this->isYearly ? null !== $this->year && $year < $this->year : $year !== $this->year) {
            return null;
        }

        return Day::on($year, $this->month, $this->day) ?? Day::on($year, $this->month, 28);
    }

    /** Returns how many years old it is on one of its days; null where nobody knows when it began, or it is kept once. */
    public function years(Day $on): ?int
    {
        return $this->isYearly && null !== $this->year ? $on->year() - $this->year : null;
    }
}
