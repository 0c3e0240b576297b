<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Year\Clash;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\KitWork;
use Lottel\Core\Year\Schedule;
use Lottel\Core\Year\SpentTime;
use Lottel\Core\Year\TodayAtBench;
use Lottel\Core\Year\WeekLoad;
use Lottel\Core\Year\WorkDays;
use Lottel\Core\Year\WorkingHours;
use PHPUnit\Framework\TestCase;

final class WeekLoadTest extends TestCase
{
    private static function day(string $text): Day
    {
        return Day::read($text) ?? throw new \LogicException($text);
    }

    /** @return array{WorkingHours, array<string, WorkDays>, array<string, WorkDays>} two kits of 4 h each that are due on one Saturday with an hour a day */
    private static function crowded(): array
    {
        $hours = new WorkingHours(array_fill(1, 7, 60));
        $kits = ['gulls' => new KitWork(240, self::day('2027-03-13')), 'menus' => new KitWork(240, self::day('2027-03-13'))];
        $schedule = new Schedule(self::day('2027-03-03'), $hours);

        return [$hours, $schedule->of($kits), array_map(static fn (KitWork $kit): WorkDays => $schedule->of([$kit])[0], $kits)];
    }

    public function testAWeekIsOverFullWhereItsDatesWantMoreThanItHolds(): void
    {
        [$hours, $plan, $alone] = self::crowded();
        [$now, $next] = WeekLoad::weeks(self::day('2027-03-03'), 2, $hours, self::day('2027-03-03'), $plan, $alone);
        self::assertSame([300, 120, 0, false], [$now->free, $now->planned, $now->wanted, $now->isOverFull()], 'from Wednesday on');
        self::assertSame([420, 360, 480, true], [$next->free, $next->planned, $next->wanted, $next->isOverFull()]);
        self::assertSame(['2 of 5', '8 of 7'], [$now->inWords(), $next->inWords()]);
    }

    public function testTheDayOnWhichTwoWantOneMachineIsTold(): void
    {
        [, $plan] = self::crowded();
        $shared = array_intersect_key($plan['gulls']->work, $plan['menus']->work);
        $clashes = Clash::among($plan, ['gulls' => [7, 8], 'menus' => [7]]);
        self::assertCount([] === $shared ? 0 : 1, $clashes);
        $together = ['a' => new WorkDays($plan['gulls']->kit, [10 => 60, 12 => 60]), 'b' => new WorkDays($plan['gulls']->kit, [12 => 30, 13 => 60])];
        self::assertSame([[12, 7, ['a', 'b']]], array_map(
            static fn (Clash $clash): array => [$clash->day->number, $clash->thing, $clash->kits],
            Clash::among($together, ['a' => [7, 9], 'b' => [7]]),
        ));
        self::assertSame([], Clash::among($together, ['a' => [7], 'b' => [9]]));
    }

    public function testWhatIsToBeDoneToday(): void
    {
        [$hours, $plan] = self::crowded();
        $weeks = WeekLoad::weeks(self::day('2027-03-03'), 2, $hours, self::day('2027-03-03'), $plan, $plan);
        $calm = TodayAtBench::of(self::day('2027-03-03'), $hours, $plan, ['gulls' => 'Gulls', 'menus' => 'Menus'], $weeks);
        self::assertNull($calm->first);
        self::assertSame(['Nothing must be begun before Saturday 6 March.', 'Today has 1 h at the bench.'], $calm->sentences);
        $late = (new Schedule(self::day('2027-03-11'), $hours))->of(['gulls' => $plan['gulls']->kit, 'menus' => $plan['menus']->kit]);
        $busy = TodayAtBench::of(self::day('2027-03-11'), $hours, $late, ['gulls' => 'Gulls', 'menus' => 'Menus'], []);
        self::assertSame('gulls', $busy->first);
        self::assertSame(['Gulls first.', '2 kits will be late.', 'Today has 1 h at the bench.'], $busy->sentences);
    }

    public function testSilencesAreNotAllWork(): void
    {
        self::assertSame(0, SpentTime::minutes([]));
        self::assertSame(0, SpentTime::minutes([500]));
        self::assertSame(25, SpentTime::minutes([25 * 60, 0, 600]));
        self::assertSame(55, SpentTime::minutes([0, 600, 600 + 5 * 3600]), 'of a long break three quarters of an hour count');
    }

    public function testADateThatNothingIsPlannedForIsNotPassedOver(): void
    {
        [$hours, $plan] = self::crowded();
        $today = self::day('2027-03-03');
        $of = static fn (string $name, Day $begin): string => TodayAtBench::of($today, $hours, $plan, [], [], [[$name, $begin]])->sentences[0];
        self::assertSame('Nothing must be begun before Thursday 4 March.', $of('Maren is 40', self::day('2027-03-04')));
        self::assertSame('Nothing must be begun before Saturday 6 March.', $of('Maren is 40', self::day('2027-03-20')));
        self::assertSame('Nothing is planned yet for Maren is 40: begin it now.', $of('Maren is 40', $today));
        self::assertSame(
            'Nothing must be begun before Thursday 4 March.',
            TodayAtBench::of($today, $hours, [], [], [], [['Maren is 40', self::day('2027-03-04')]])->sentences[0],
            'where no kit is planned at all',
        );
    }
}
