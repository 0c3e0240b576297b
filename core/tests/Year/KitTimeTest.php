<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Design\MakingStep;
use Lottel\Core\Year\BenchTimes;
use Lottel\Core\Year\KitTime;
use Lottel\Core\Year\KitWorkload;
use Lottel\Core\Year\SpentTime;
use PHPUnit\Framework\TestCase;

final class KitTimeTest extends TestCase
{
    public function testWhatAPersonSaysHolds(): void
    {
        $time = KitTime::said(240, 3, 8);
        self::assertSame([150, 'as you said', '2½ h'], [$time->minutes, $time->why, $time->inWords()]);
    }

    public function testUsualTimesServeUntilThereIsALog(): void
    {
        $eight = KitTime::estimated(new KitWorkload(8, 'card', true, 0, 12, 24, 8), []);
        self::assertSame([210, 'from usual times'], [$eight->minutes, $eight->why], '12 × 25 s, 24 × 14 s, 8 × 10 s and 8 × 25 min');
        self::assertSame('about 3½ h', $eight->inWords());
        self::assertSame(135, KitTime::estimated(new KitWorkload(1, 'page', true), [])->minutes);
        self::assertSame(25, KitTime::estimated(new KitWorkload(1, 'piece', false), [])->minutes);
        self::assertStringContainsString('does not say how many', KitTime::estimated(new KitWorkload(1, 'piece', false), [])->why);
    }

    public function testTheStepsOfADesignAreBetterAndOnesOwnLogIsBest(): void
    {
        $steps = array_map(static fn (string $key): MakingStep => new MakingStep($key, '', []), ['base.fold', 'L1.stick', 'L2.stamp', 'L2.stick', 'envelope']);
        $work = new KitWorkload(10, 'card', true, 4, 0, 0, 0, $steps);
        $designed = KitTime::estimated($work, [12, 18]);
        self::assertSame([55, 'from the steps of its design'], [$designed->minutes, $designed->why], '6 × (240 + 10 + 120 + 45 + 120 + 15 s)');
        $known = KitTime::estimated($work, [30, 12, 18]);
        self::assertSame([110, 'from 3 kits like it'], [$known->minutes, $known->why], 'the middle one, for six');
    }

    public function testSomethingIsLeftOfWhatIsNotDone(): void
    {
        self::assertSame(5, KitTime::estimated(new KitWorkload(3, 'card', true, 3), [])->minutes);
        self::assertSame(5, KitTime::said(60, 8, 8)->minutes);
    }

    public function testAThingIsFetchedAsFastAsTheLogSays(): void
    {
        $steady = array_map(static fn (int $nth): int => 1_000_000 + 18 * $nth, range(0, 24));
        self::assertSame(18, SpentTime::secondsAStop([$steady]));
        self::assertSame(18, SpentTime::secondsAStop([array_reverse($steady), [5, 5], []]), 'in any order; twice at once is no stop');
        self::assertNull(SpentTime::secondsAStop([\array_slice($steady, 0, 20)]), 'nineteen stops are too few');
        self::assertNull(SpentTime::secondsAStop([array_map(static fn (int $nth): int => 3600 * $nth, range(0, 40))]), 'an hour is no walk');
        $work = new KitWorkload(1, 'card', true, 0, 60);
        $usual = KitTime::estimated($work, [])->minutes;
        self::assertSame(25, $usual - KitTime::estimated($work, [], new BenchTimes(0))->minutes, 'sixty things at the usual 25 s');
        self::assertGreaterThan($usual, KitTime::estimated($work, [], new BenchTimes(60))->minutes);
    }

    public function testWhatIsStillToBeCut(): void
    {
        self::assertSame([24, 12, 0, 0], [
            KitWorkload::toCut(24, 4, 4), KitWorkload::toCut(24, 2, 4), KitWorkload::toCut(24, 0, 4), KitWorkload::toCut(24, 0, 0),
        ]);
    }

    public function testTheCardsOfADate(): void
    {
        self::assertSame([25, 25, 150], array_map((new BenchTimes())->cards(...), [0, 1, 6]));
    }
}
