<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\KitRow;
use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\BenchTimes;
use Lottel\Core\Year\Clash;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\InvalidSchedule;
use Lottel\Core\Year\KitTime;
use Lottel\Core\Year\KitWork;
use Lottel\Core\Year\Schedule;
use Lottel\Core\Year\TodayAtBench;
use Lottel\Core\Year\WeekLoad;
use Lottel\Core\Year\WorkDays;
use Lottel\Core\Year\WorkingHours;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** The kits and dates of some weeks, when each kit must be begun, and what does not go together. */
final readonly class YearReading
{
    /** In so many weeks room is looked for, for what has no date. */
    private const LOOKED_AHEAD = 26;

    /** @param iterable<DayNotes> $notes */
    public function __construct(
        private KitReading $kits,
        private KitTimes $times,
        private HoursAtBench $hours,
        private Occasions $occasions,
        private MadeForDates $made,
        private EntityManagerInterface $entities,
        private Connection $database,
        private RoomClock $roomClock,
        #[AutowireIterator(DayNotes::class)]
        private iterable $notes,
    ) {
    }

    public function of(Day $first, int $many): YearPage
    {
        $today = Day::of($this->roomClock->today());
        $rows = [...$this->kits->out(), ...$this->kits->planned()];
        $said = $this->byKit(TimeOfKit::class, $rows);
        $times = $this->times->of($rows, $said);
        $works = $this->works($rows, $times, $said);
        $hours = $this->hours->areKnown() ? $this->hours->all() : null;
        [$plan, $alone, $warnings] = null === $hours ? [[], [], []] : $this->planned($today, $hours, $works);
        $weeks = null === $hours ? [] : WeekLoad::weeks($first, $many, $hours, $today, $plan, $alone);
        $ahead = null === $hours ? [] : WeekLoad::weeks($today, self::LOOKED_AHEAD, $hours, $today, $plan, $alone);
        $kits = $this->kitsInYear($rows, $times, $plan, $said, $ahead);

        $dates = $this->dates($first, $first->plus(7 * $many - 1), $kits, $today, $hours);

        return new YearPage(
            $today,
            $first,
            $many,
            $weeks,
            $kits,
            $dates,
            null === $hours ? null : TodayAtBench::of($today, $hours, $plan, self::names($rows), $weeks, self::toBegin($dates)),
            [...$warnings, ...$this->clashes($plan, self::names($rows))],
            $this->notes($first, $first->plus(7 * $many - 1), $today),
        );
    }

    /** @return list<DayNote> */
    private function notes(Day $first, Day $last, Day $today): array
    {
        $notes = [];
        foreach ($this->notes as $who) {
            $notes = [...$notes, ...$who->between($first, $last, $today)];
        }
        usort($notes, static fn (DayNote $a, DayNote $b): int => [$a->day->number, $a->key] <=> [$b->day->number, $b->key]);

        return $notes;
    }

    /**
     * @param list<KitRow> $rows
     * @param array<int, KitTime> $times
     * @param array<int, TimeOfKit> $said
     *
     * @return array<int, KitWork> by kit
     */
    private function works(array $rows, array $times, array $said): array
    {
        $works = [];
        foreach ($rows as $row) {
            $due = null === $row->dueOn ? null : Day::read(substr($row->dueOn, 0, 10));
            if (null === $due || $row->isReturning()) {
                continue;
            }
            $own = $said[$row->id] ?? null;
            $works[$row->id] = new KitWork(
                $times[$row->id]->minutes,
                $due,
                $own->dryingDays ?? 0,
                null === $own?->readyFrom ? null : Day::of($own->readyFrom),
            );
        }

        return $works;
    }

    /**
     * @param array<int, KitWork> $works
     *
     * @return array{array<int, WorkDays>, array<int, WorkDays>, list<string>} the plan, each kit as if it were the only one, and what is wrong
     */
    private function planned(Day $today, WorkingHours $hours, array $works): array
    {
        $schedule = new Schedule($today, $hours);
        try {
            return [
                $schedule->of($works),
                array_map(static fn (KitWork $work): WorkDays => $schedule->of([$work])[0], $works),
                [],
            ];
        } catch (InvalidSchedule) {
            return [[], [], ['The hours at the bench do not hold this work in ten years. Say more hours, or less work.']];
        }
    }

    /**
     * @param list<KitRow> $rows
     * @param array<int, KitTime> $times
     * @param array<int, WorkDays> $plan
     * @param array<int, TimeOfKit> $said
     * @param list<WeekLoad> $weeks
     *
     * @return list<KitInYear>
     */
    private function kitsInYear(array $rows, array $times, array $plan, array $said, array $weeks): array
    {
        $for = $this->byKit(KitForOccasion::class, $rows);
        $kits = array_map(static function (KitRow $row) use ($times, $plan, $said, $for, $weeks): KitInYear {
            $due = null === $row->dueOn ? null : Day::read(substr($row->dueOn, 0, 10));
            $fits = null !== $due ? null : WeekLoad::firstWithRoom($weeks, $times[$row->id]->minutes);

            return new KitInYear($row, $times[$row->id], $due, $plan[$row->id] ?? null, $said[$row->id] ?? null, $for[$row->id] ?? null, $fits);
        }, $rows);
        usort($kits, static fn (KitInYear $a, KitInYear $b): int => [$a->due->number ?? \PHP_INT_MAX, $a->kit->id] <=> [
            $b->due->number ?? \PHP_INT_MAX,
            $b->kit->id,
        ]);

        return $kits;
    }

    /**
     * @param list<KitInYear> $kits
     *
     * @return list<DateInYear>
     */
    private function dates(Day $first, Day $last, array $kits, Day $today, ?WorkingHours $hours): array
    {
        [$closed, $kept, $gone] = [$this->made->closed(), $this->made->kept(), $this->made->gone()];
        $dates = [];
        foreach ($this->occasions->all() as $occasion) {
            foreach ($occasion->on()->between($first->plus(1 - $occasion->lasts), $last) as $day) {
                $own = array_filter($kits, static fn (KitInYear $kit): bool => $kit->isFor($occasion, $day));
                $doneBy = $day->plus(-$occasion->daysAhead);
                $dates[] = new DateInYear(
                    $occasion,
                    $day,
                    $doneBy,
                    $occasion->on()->years($day),
                    array_values($own)[0] ?? null,
                    null === $hours || $doneBy->number < $today->number ? null : $this->beginBy($occasion, $doneBy, $today, $hours),
                    isset($closed[$occasion->id.':'.$day->text()]),
                    $kept[$occasion->id.':'.$day->text()] ?? 0,
                    $gone[$occasion->id.':'.$day->text()] ?? 0,
                );
            }
        }
        usort($dates, static fn (DateInYear $a, DateInYear $b): int => [$a->day->number, $a->occasion->id] <=> [$b->day->number, $b->occasion->id]);

        return $dates;
    }

    /**
     * @param list<DateInYear> $dates
     *
     * @return list<array{string, Day}> what nothing is made or kept for, and when it must be begun
     */
    private static function toBegin(array $dates): array
    {
        $begin = [];
        foreach ($dates as $date) {
            if ($date->isToMake() && null !== $date->beginBy) {
                $begin[] = [$date->name(), $date->beginBy];
            }
        }

        return $begin;
    }

    private function beginBy(Occasion $occasion, Day $doneBy, Day $today, WorkingHours $hours): ?Day
    {
        try {
            return (new Schedule($today, $hours))->of([new KitWork((new BenchTimes())->cards($occasion->pieces), $doneBy)])[0]->start();
        } catch (InvalidSchedule) {
            return null;
        }
    }

    /**
     * @param array<int, WorkDays> $plan
     * @param array<int, string> $names
     *
     * @return list<string>
     */
    private function clashes(array $plan, array $names): array
    {
        $machines = $called = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT n.kit_id, i.id, i.name FROM need n JOIN item i ON i.id = n.item_id JOIN stock_of_item s ON s.item_id = i.id
             WHERE n.kit_id IN (?) AND i.kind = 'machine' AND n.state <> 'replaced' AND (i.tracking = 'one' OR s.in_room <= 1)",
            [[0, ...array_keys($plan)]],
            [ArrayParameterType::INTEGER],
        ) as $columns) {
            $row = new Row($columns);
            $machines[$row->int('kit_id')][] = $row->int('id');
            $called[$row->int('id')] = $row->text('name');
        }

        return array_map(static fn (Clash $clash): string => \sprintf(
            '%s want the %s on %s.',
            implode(' and ', array_map(static fn (int|string $kit): string => $names[(int) $kit] ?? '', $clash->kits)),
            mb_strtolower(mb_substr($called[$clash->thing], 0, 1)).mb_substr($called[$clash->thing], 1),
            $clash->day->date()->format('l j M'),
        ), Clash::among($plan, $machines));
    }

    /**
     * @template T of TimeOfKit|KitForOccasion
     *
     * @param class-string<T> $class
     * @param list<KitRow> $rows
     *
     * @return array<int, T> by kit
     */
    private function byKit(string $class, array $rows): array
    {
        $ids = array_map(static fn (KitRow $row): int => $row->id, $rows);
        $by = [];
        foreach ($this->entities->getRepository($class)->findBy(['kit' => $ids]) as $one) {
            $by[(int) $one->kit->id] = $one;
        }

        return $by;
    }

    /**
     * @param list<KitRow> $rows
     *
     * @return array<int, string>
     */
    private static function names(array $rows): array
    {
        return array_combine(array_map(static fn (KitRow $row): int => $row->id, $rows), array_map(static fn (KitRow $row): string => $row->name, $rows));
    }
}
