<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Year\Day;
use Lottel\Core\Year\InvalidSchedule;
use Lottel\Core\Year\KitWork;
use Lottel\Core\Year\Schedule;
use Lottel\Core\Year\WorkDays;
use Lottel\Core\Year\WorkingHours;
use PHPUnit\Framework\TestCase;

final class ScheduleTest extends TestCase
{
    private static function day(string $text): Day
    {
        return Day::read($text) ?? throw new \LogicException($text);
    }

    /** 1 March 2027 is a Monday. */
    private static function today(): Day
    {
        return self::day('2027-03-01');
    }

    public function testWorkLiesAsLateAsItsDueDateAllows(): void
    {
        $hours = new WorkingHours([1 => 20, 2 => 20, 4 => 20, 6 => 40], [self::day('2027-03-06')->number => 0]);
        $plan = (new Schedule(self::today(), $hours))->of(['k1' => new KitWork(55, self::day('2027-03-13'), 1, self::day('2027-03-03'))])['k1'];
        self::assertSame(['2027-03-08' => 15, '2027-03-09' => 20, '2027-03-11' => 20], self::worded($plan));
        self::assertSame(['2027-03-08', '2027-03-12', 0], [$plan->start()->text(), $plan->done()->text(), $plan->late()]);
    }

    public function testTheMoreUrgentGoesFirstAndTheOtherOneSaysHowLate(): void
    {
        $hours = new WorkingHours(array_fill(1, 7, 2));
        $plan = (new Schedule(self::today(), $hours))->of([
            new KitWork(8, self::day('2027-03-03')),
            new KitWork(4, self::day('2027-03-02')),
        ]);
        self::assertSame([3, 0], array_map(static fn (WorkDays $days): int => $days->late(), $plan));
        self::assertSame('2027-03-01', $plan[1]->start()->text());
    }

    public function testWhatIsOverdueIsWorkedOnAtOnce(): void
    {
        $plan = (new Schedule(self::today(), new WorkingHours(array_fill(1, 7, 3))))->of([new KitWork(3, self::day('2027-02-20'), 2)]);
        self::assertSame(['2027-03-01', 11], [$plan[0]->start()->text(), $plan[0]->late()]);
    }

    public function testNothingToDoIsAPlanToo(): void
    {
        self::assertSame([], (new Schedule(self::today(), new WorkingHours([])))->of([]));
    }

    public function testHoursThatDoNotHoldTheWorkAreRefused(): void
    {
        $this->expectException(InvalidSchedule::class);
        (new Schedule(self::today(), new WorkingHours([6 => 1])))->of([new KitWork(600, self::day('2027-03-13'))]);
    }

    public function testADueDateFarAheadIsBegunFarAhead(): void
    {
        $plan = (new Schedule(self::today(), new WorkingHours(array_fill(1, 7, 1))))->of([new KitWork(2, self::day('2227-03-01'))]);
        self::assertSame('2227-02-28', $plan[0]->start()->text());
    }

    /** Held against a search through every way of spreading the work over the days. */
    public function testTheLargestLatenessIsTheLeastPossible(): void
    {
        mt_srand(24);
        for ($round = 0; $round < 120; ++$round) {
            [$hours, $kits] = self::small(mt_rand(1, 3), 7, 3);
            $late = array_map(static fn (WorkDays $days): int => $days->late(), (new Schedule(self::today(), $hours))->of($kits));
            self::assertSame(self::leastByTrying($hours, $kits), max([0, ...$late]), 'round '.$round);
        }
    }

    public function testTheDatesHoursAndSumsAreKept(): void
    {
        mt_srand(1881);
        for ($round = 0; $round < 300; ++$round) {
            [$hours, $kits] = self::small(mt_rand(1, 9), 25, 8);
            $plan = (new Schedule(self::today(), $hours))->of($kits);
            $used = [];
            foreach ($plan as $key => $days) {
                self::assertSame($kits[$key]->amount, array_sum($days->work));
                self::assertGreaterThanOrEqual(max(self::today()->number, $kits[$key]->readyFrom->number ?? 0), $days->start()->number);
                foreach ($days->work as $day => $amount) {
                    self::assertGreaterThan(0, $amount);
                    $used[$day] = ($used[$day] ?? 0) + $amount;
                }
            }
            foreach ($used as $day => $amount) {
                self::assertLessThanOrEqual($hours->on($day), $amount);
            }
            $this->assertAsLateAsCanBe($plan, $used, $hours);
            $sum = array_sum(array_map(static fn (WorkDays $days): int => $days->late(), $plan));
            self::assertLessThanOrEqual(self::sumOfAlwaysTheMostUrgent($hours, $kits), $sum, 'round '.$round);
        }
    }

    /**
     * @param array<int, WorkDays> $plan
     * @param array<int, int> $used by day
     */
    private function assertAsLateAsCanBe(array $plan, array $used, WorkingHours $hours): void
    {
        foreach ($plan as $days) {
            for ($day = $days->start()->number + 1; $day <= $days->kit->lastDay()->number + $days->late(); ++$day) {
                self::assertSame($hours->on($day), $used[$day] ?? 0, 'no hour of it fits on a later day');
            }
        }
    }

    /**
     * @param list<KitWork> $kits
     */
    private static function sumOfAlwaysTheMostUrgent(WorkingHours $hours, array $kits): int
    {
        $left = array_map(static fn (KitWork $kit): int => $kit->amount, $kits);
        $sum = 0;
        for ($day = self::today()->number; array_sum($left) > 0; ++$day) {
            for ($hour = 0; $hour < $hours->on($day); ++$hour) {
                $most = null;
                foreach ($kits as $key => $kit) {
                    $isReady = $left[$key] > 0 && ($kit->readyFrom->number ?? 0) <= $day;
                    if ($isReady && (null === $most || $kit->lastDay()->number < $kits[$most]->lastDay()->number)) {
                        $most = $key;
                    }
                }
                if (null !== $most && 0 === --$left[$most]) {
                    $sum += max(0, $day - $kits[$most]->lastDay()->number);
                }
            }
        }

        return $sum;
    }

    /** @return array{WorkingHours, list<KitWork>} */
    private static function small(int $many, int $within, int $most): array
    {
        $week = array_map(static fn (): int => mt_rand(0, 2), range(1, 7));
        $hours = new WorkingHours(array_combine(range(1, 7), $week), [self::today()->plus(mt_rand(0, 9))->number => mt_rand(0, 3), self::today()->number => 1]);
        $kits = [];
        for ($i = 0; $i < $many; ++$i) {
            $from = mt_rand(-3, 5);
            $kits[] = new KitWork(mt_rand(1, $most), self::today()->plus(mt_rand(-2, $within)), mt_rand(0, 2), $from < 0 ? null : self::today()->plus($from));
        }

        return [0 === array_sum($week) ? new WorkingHours(array_fill(1, 7, 1)) : $hours, $kits];
    }

    /** @param list<KitWork> $kits */
    private static function leastByTrying(WorkingHours $hours, array $kits): int
    {
        for ($allowed = 0;; ++$allowed) {
            $last = array_map(static fn (KitWork $kit): int => $kit->lastDay()->number + $allowed, $kits);
            $seen = [];
            if (self::fits($hours, $kits, $last, array_map(static fn (KitWork $kit): int => $kit->amount, $kits), self::today()->number, $seen)) {
                return $allowed;
            }
        }
    }

    /**
     * @param list<KitWork> $kits
     * @param list<int> $last
     * @param list<int> $left
     * @param array<string, bool> $seen
     */
    private static function fits(WorkingHours $hours, array $kits, array $last, array $left, int $day, array &$seen, ?int $free = null): bool
    {
        if (0 === array_sum($left)) {
            return true;
        }
        $free ??= $hours->on($day);
        $state = $day.':'.$free.':'.implode(',', $left);
        if (isset($seen[$state])) {
            return false;
        }
        $seen[$state] = true;
        foreach ($free > 0 ? array_keys($kits) : [] as $key) {
            if ($left[$key] > 0 && $last[$key] >= $day && ($kits[$key]->readyFrom->number ?? 0) <= $day) {
                $after = $left;
                --$after[$key];
                if (self::fits($hours, $kits, $last, array_values($after), $day, $seen, $free - 1)) {
                    return true;
                }
            }
        }

        return $day < max([0, ...$last]) && self::fits($hours, $kits, $last, $left, $day + 1, $seen);
    }

    /** @return array<string, int> */
    private static function worded(WorkDays $days): array
    {
        return array_combine(array_map(static fn (int $day): string => Day::numbered($day)->text(), array_keys($days->work)), $days->work);
    }
}
