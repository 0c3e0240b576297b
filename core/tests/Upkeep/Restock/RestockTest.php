<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Restock;

use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Upkeep\Restock\BurnRate;
use Lottel\Core\Upkeep\Restock\Forecast;
use Lottel\Core\Upkeep\Restock\PackPrice;
use Lottel\Core\Upkeep\Restock\StockRule;
use PHPUnit\Framework\TestCase;

final class RestockTest extends TestCase
{
    public function testAnEvenRateHasNoSpread(): void
    {
        $rate = BurnRate::of([12, 12, 12, 12, 12, 12]);
        self::assertSame([12.0, 12.0, 12.0, 1.0], [$rate?->aWeek, $rate?->least, $rate?->most, $rate?->season]);
        self::assertNull(BurnRate::of([12, 12, 12]), 'too short');
        self::assertNull(BurnRate::of([0, 0, 0, 0, 0]), 'nothing is used');
        self::assertNull(BurnRate::of([]));
    }

    public function testASpreadIsTheErrorOfTheMean(): void
    {
        // 0, 10, 0, 10: mean 5, sample variance 100/3, standard error sqrt(100/12)
        $rate = BurnRate::of([0, 10, 0, 10]);
        self::assertEqualsWithDelta(5 + 1.281552 * sqrt(100 / 12), $rate->most ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(5 - 1.281552 * sqrt(100 / 12), $rate->least ?? 0.0, 1e-9);
        self::assertNull(BurnRate::of([40, 0, 0, 0]), 'one week tells nothing');
        self::assertSame(0.0, BurnRate::of([40, 1, 0, 0])->least ?? null, 'and two tell little');
    }

    public function testTheSameWeeksOfLastYearTellTheSeason(): void
    {
        $year = [...array_fill(0, 8, 20), ...array_fill(0, 44, 5)];
        $rate = BurnRate::of($year);
        $usual = (8 * 20 + 44 * 5) / 52;
        self::assertEqualsWithDelta(20 / $usual, $rate->season ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(5 * 20 / $usual, $rate->aWeek ?? 0.0, 1e-9, 'the last half year, times the season');
        self::assertSame(1.0, BurnRate::of(\array_slice($year, 1))->season ?? null, 'of less than a year nobody can tell');
        $harvest = [...array_fill(0, 8, 500), ...array_fill(0, 44, 5)];
        self::assertSame(3.0, BurnRate::of($harvest)->season ?? null, 'no season is trusted for more');
    }

    public function testWhenToOrder(): void
    {
        $rate = BurnRate::of([14, 14, 14, 14]) ?? self::fail();
        $forecast = new Forecast(100, $rate, new StockRule(20, 14));
        self::assertSame(48, $forecast->orderAt, 'two weeks of it, and the spare');
        self::assertEqualsWithDelta(50.0, $forecast->out, 1e-9);
        self::assertEqualsWithDelta(26.0, $forecast->orderIn, 1e-9);
        self::assertFalse($forecast->isDue());
        self::assertTrue((new Forecast(48, $rate, new StockRule(20, 14)))->isDue());
        self::assertFalse($forecast->isSoon());
        self::assertTrue((new Forecast(62, $rate, new StockRule(20, 14)))->isSoon(), 'in a week');
        self::assertFalse((new Forecast(63, $rate, new StockRule(20, 14)))->isSoon(), 'in a week and a half day');
        self::assertTrue((new Forecast(100, $rate, new StockRule(20, 14), 60))->isDue(), 'what kits want is as good as gone');
        self::assertSame(0.0, (new Forecast(0, $rate, new StockRule()))->out);
        self::assertSame(\INF, (new Forecast(10, BurnRate::of([40, 1, 0, 0]) ?? self::fail(), new StockRule()))->outLatest);
    }

    public function testOrderedAtThatPointItLastsUntilItComes(): void
    {
        mt_srand(4);
        for ($round = 0; $round < 300; ++$round) {
            $rate = BurnRate::of(array_map(static fn (): int => mt_rand(0, 30), range(1, mt_rand(4, 26)))) ?? BurnRate::of([1, 1, 1, 1]);
            self::assertNotNull($rate);
            $rule = new StockRule(mt_rand(0, 40), mt_rand(0, 30));
            $forecast = new Forecast(mt_rand(0, 400), $rate, $rule, mt_rand(0, 20));
            self::assertGreaterThanOrEqual($rule->spare, $forecast->orderAt - $rate->most * $rule->leadDays / 7, 'even at the upper rate the spare is left');
            self::assertLessThanOrEqual($forecast->out + 1e-9, $forecast->orderIn);
            self::assertLessThanOrEqual($forecast->out + 1e-9, $forecast->outEarliest);
            self::assertLessThanOrEqual($forecast->outLatest, $forecast->out - 1e-9);
            $pack = mt_rand(1, 50);
            $order = $forecast->order(8, $pack);
            self::assertSame(0, $order % $pack);
            self::assertGreaterThanOrEqual($rule->spare + 8 * $rate->aWeek, $forecast->left - $forecast->wanted + $order + 1e-6);
            self::assertLessThan($pack + 1, max(0, $order - $forecast->order(8)));
        }
    }

    public function testPacksAreHeldAgainstEachOther(): void
    {
        $letter = (int) (8.5 * Length::TICKS_PER_INCH * 11 * Length::TICKS_PER_INCH);
        $twelve = 144 * Length::TICKS_PER_INCH ** 2;
        $ream = new PackPrice(1800, 250, Tracking::Count, $letter);
        $pad = new PackPrice(1440, 24, Tracking::Count, $twelve);
        self::assertEqualsWithDelta(7.2, $ream->each(), 1e-9);
        self::assertEqualsWithDelta(7.2 / (93.5 / 144), $ream->squareFoot() ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(60.0, $pad->squareFoot() ?? 0.0, 1e-9, 'a sheet of 12 by 12 is a square foot');
        self::assertLessThan($pad->compared(), $ream->compared());
        $ribbon = new PackPrice(450, 5 * 36 * Length::TICKS_PER_INCH, Tracking::Length);
        self::assertEqualsWithDelta(90.0, $ribbon->yard() ?? 0.0, 1e-9);
        self::assertNull($ribbon->squareFoot());
        $ink = new PackPrice(600, 8, Tracking::Level);
        self::assertEqualsWithDelta(600.0, $ink->each(), 1e-9, 'a full bottle');
        self::assertSame([12 * Length::TICKS_PER_INCH, 8, 1], array_map(PackPrice::leastOf(...), [Tracking::Length, Tracking::Level, Tracking::Count]));
        self::assertSame([0, 50, 50, 100], array_map(static fn (int $many): int => Forecast::inPacks($many, 50), [0, 1, 50, 51]));
        self::assertTrue($pad->isAbove(new PackPrice(50, 1, Tracking::Count, $twelve)));
        self::assertFalse($pad->isAbove(new PackPrice(60, 1, Tracking::Count, $twelve)));
        self::assertFalse($pad->isAbove(null));
    }

    public function testWhatIsUsedSlowlyIsToldByTheMonth(): void
    {
        $slow = BurnRate::of([1, 0, 0, 1, 0, 0, 1, 0]);
        self::assertNotNull($slow);
        self::assertSame([true, 2], [$slow->isByMonth(), $slow->told()], 'three in eight weeks');
        $quick = BurnRate::of([1, 1, 1, 1]);
        self::assertNotNull($quick);
        self::assertSame([false, 1], [$quick->isByMonth(), $quick->told()]);
        $hardly = BurnRate::of([...array_fill(0, 24, 0), 1, 1]);
        self::assertSame(1, $hardly?->told(), 'never nothing');
        self::assertSame(540, (new PackPrice(1800, 250, Tracking::Count))->of(75));
    }
}
