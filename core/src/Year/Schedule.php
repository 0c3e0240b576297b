<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/**
 * When each of several kits is worked on, which share the hours of one bench. The largest lateness is the least that is possible, and
 * within the lateness that follows from it all work lies as late as it can.
 *
 * Which kit becomes how late is found by going forward and always working on the kit whose last day for work is earliest: for work that can
 * be split in any way this makes the largest lateness least (J. R. Jackson, “Scheduling a production line to minimize maximum tardiness”, 1955;
 * with release dates W. A. Horn, “Some simple scheduling algorithms”, 1974; both cited from memory). With those days as the last ones
 * allowed, the same rule is then applied backward in time.
 */
final readonly class Schedule
{
    public const YEARS = 10;

    public function __construct(private Day $today, private WorkingHours $hours)
    {
    }

    /**
     * @template K of array-key
     *
     * @param array<K, KitWork> $kits
     *
     * @return array<K, WorkDays>
     *
     * @throws InvalidSchedule if the next ten years do not hold the work
     */
    public function of(array $kits): array
    {
        $list = array_values($kits);
        $work = $this->asLateAsAllowed($list, $this->lastDays($list));
        $plan = [];
        foreach (array_keys($kits) as $index => $key) {
            $days = $work[$index] ?? [];
            if ([] === $days) {
                throw new \LogicException('What can be worked forward can be worked backward.');
            }
            ksort($days);
            $plan[$key] = new WorkDays($list[$index], $days);
        }

        return $plan;
    }

    /**
     * Returns for each kit the last day on which it may be worked on: the one that keeps it in time, or where that cannot be, the one on
     * which it is finished if the most urgent kit always goes first.
     *
     * @param list<KitWork> $kits
     *
     * @return array<int, int>
     */
    private function lastDays(array $kits): array
    {
        $firsts = array_map($this->first(...), $kits);
        asort($firsts);
        $waiting = array_keys($firsts);
        $end = Day::of($this->today->date()->modify('+'.self::YEARS.' years'))->number;
        $left = array_map(static fn (KitWork $kit): int => $kit->amount, $kits);
        /** @var \SplMinHeap<array{int, int}> $urgent the last day for work on it, and which it is */
        $urgent = new \SplMinHeap();
        $last = [];
        $next = 0;
        for ($day = $this->today->number; \count($last) < \count($kits); ++$day) {
            if ($day >= $end) {
                throw InvalidSchedule::hoursDoNotHold(self::YEARS);
            }
            for (; isset($waiting[$next]) && $firsts[$waiting[$next]] <= $day; ++$next) {
                $urgent->insert([$kits[$waiting[$next]]->lastDay()->number, $waiting[$next]]);
            }
            for ($free = $this->hours->on($day); $free > 0 && !$urgent->isEmpty(); $free -= $worked) {
                [$lastInTime, $kit] = $urgent->top();
                $worked = min($free, $left[$kit]);
                $left[$kit] -= $worked;
                if (0 === $left[$kit]) {
                    $urgent->extract();
                    $last[$kit] = max($day, $lastInTime);
                }
            }
        }

        return $last;
    }

    /**
     * @param list<KitWork> $kits
     * @param array<int, int> $last the last day on which each may be worked on
     *
     * @return array<int, array<int, int>> work by kit and day
     */
    private function asLateAsAllowed(array $kits, array $last): array
    {
        arsort($last);
        $waiting = array_keys($last);
        $left = array_map(static fn (KitWork $kit): int => $kit->amount, $kits);
        /** @var \SplMaxHeap<array{int, int, int}> $urgent the first day for work on it, the last one in time, and which it is */
        $urgent = new \SplMaxHeap();
        $work = [];
        $next = 0;
        for ($day = \PHP_INT_MAX; isset($waiting[$next]) || !$urgent->isEmpty(); --$day) {
            if ($urgent->isEmpty()) {
                $day = min($day, $last[$waiting[$next]]);
            }
            for (; isset($waiting[$next]) && $last[$waiting[$next]] >= $day; ++$next) {
                $urgent->insert([$this->first($kits[$waiting[$next]]), $kits[$waiting[$next]]->lastDay()->number, $waiting[$next]]);
            }
            for ($free = $this->hours->on($day); $free > 0 && !$urgent->isEmpty(); $free -= $worked) {
                $kit = $urgent->top()[2];
                $worked = min($free, $left[$kit]);
                $left[$kit] -= $worked;
                $work[$kit][$day] = $worked;
                if (0 === $left[$kit]) {
                    $urgent->extract();
                }
            }
        }

        return $work;
    }

    /** The first day on which it can be worked on. */
    private function first(KitWork $kit): int
    {
        return max($this->today->number, $kit->readyFrom->number ?? $this->today->number);
    }
}
