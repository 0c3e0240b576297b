<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Capacity;

use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Upkeep\Capacity\Filled;
use Lottel\Core\Upkeep\Capacity\Growth;
use Lottel\Core\Upkeep\Capacity\UntilFull;
use PHPUnit\Framework\TestCase;

final class CapacityTest extends TestCase
{
    public function testAPlaceIsFullAfterSoManyWeeksOfItsGrowth(): void
    {
        $growth = Growth::of([0.5, 0.5, 0.5, 0.5]);
        self::assertNotNull($growth);
        self::assertEquals(new UntilFull(4.0, 4.0, 4.0), $growth->weeksUntil(2.0), 'even growth has no spread');
        self::assertEquals(new UntilFull(0.0, 0.0, 0.0), $growth->weeksUntil(-1.0));
        self::assertNull($growth->weeksUntil(1000.0), 'nobody plans for so long');
        self::assertNull(Growth::of([1.0, 1.0, 1.0]), 'too short');
        self::assertNull(Growth::of([1.0, -1.0, 0.5, -0.5]), 'it does not grow');
    }

    public function testUnevenGrowthIsLessSure(): void
    {
        $growth = Growth::of([2.0, 0.0, 0.0, 0.0, 2.0, 0.0, 0.0, 0.0]);
        $until = $growth?->weeksUntil(5.0) ?? new UntilFull(0.0, 0.0, null);
        // mean 0.5, sample variance 6/7 · 1 = 0.857…, standard error 0.3273, times 1.2816
        self::assertEqualsWithDelta(10.0, $until->likely, 1e-9);
        self::assertEqualsWithDelta(5 / (0.5 + 1.281552 * sqrt(6 / 7 / 8)), $until->earliest, 1e-9);
        self::assertEqualsWithDelta(5 / (0.5 - 1.281552 * sqrt(6 / 7 / 8)), (float) $until->latest, 1e-9);
        self::assertNull(Growth::of([9.0, -3.0, 0.0, -4.0])?->weeksUntil(5.0)?->latest, 'it may as well never be full');
    }

    /** The interval is checked by drawing weeks anew: of 4000 seeded samples with a known mean, about 80 in 100 hold the truth. */
    public function testTheIntervalHoldsTheTruthAboutAsOftenAsItSays(): void
    {
        mt_srand(80);
        $held = $all = 0;
        for ($sample = 0; $sample < 4000; ++$sample) {
            $weeks = array_map(static fn (): float => 1.0 + (mt_rand(0, 1000) + mt_rand(0, 1000) + mt_rand(0, 1000) - 1500) / 1000, range(1, 26));
            $until = Growth::of($weeks)?->weeksUntil(10.0);
            if (null !== $until) {
                ++$all;
                $held += (int) ($until->earliest <= 10.0 && ($until->latest ?? \INF) >= 10.0);
            }
        }
        self::assertSame(4000, $all);
        self::assertEqualsWithDelta(0.8, $held / $all, 0.03);
    }

    public function testOverNearAndWithRoom(): void
    {
        $box = Box::ofMillimetres(100, 100, 1000);
        $filled = static fn (float $litres, float $grams = 0): Filled => new Filled(new Capacity($box, false, 2000), new Contents($litres, 0, $grams));
        $limit = 10 * 0.7 * 0.8;
        self::assertSame([true, false], [$filled($limit + 0.1)->isOver(), $filled($limit - 0.1)->isOver()]);
        self::assertSame([true, false], [$filled($limit * 0.9)->isNear(), $filled($limit * 0.8)->isNear()]);
        self::assertFalse($filled($limit + 0.1)->isNear(), 'over is not near');
        self::assertTrue($filled(0.1, 1800)->isNear(), 'near what its runners carry');
        self::assertTrue($filled(0.1, 2100)->isOver());
        self::assertNull($filled($limit + 1)->untilFull(Growth::of([1.0, 1.0, 1.0, 1.0])));
        self::assertEqualsWithDelta(2.0, $filled($limit - 2)->untilFull(Growth::of([1.0, 1.0, 1.0, 1.0]))->likely ?? 0.0, 1e-9);
    }

    public function testGrowthBeginsAWeekAfterTheLogAndIsTakenByWholeWeeks(): void
    {
        $now = new \DateTimeImmutable('2026-03-01');
        $since = static fn (?string $began): string => Growth::since($now, null === $began ? null : new \DateTimeImmutable($began))->format('Y-m-d');
        self::assertSame('2026-03-01', $since(null));
        self::assertSame('2026-03-01', $since('2026-02-27'), 'never in the time to come');
        self::assertSame('2026-02-08', $since('2026-02-01'));
        self::assertSame('2025-08-31', $since('2019-02-01'), 'half a year');
        $fourWeeks = $now->modify('-30 days');
        self::assertEqualsWithDelta(2.0, Growth::byDay([0 => 1.0, 6 => 1.0, 7 => 2.0, 29 => 4.0], $fourWeeks, $now)->aWeek ?? 0.0, 1e-9);
        self::assertNull(Growth::byDay([3 => 9.0], $now->modify('-27 days'), $now), 'three whole weeks are too few');
    }

    public function testWhenAPlaceIsFullIsToldInWords(): void
    {
        self::assertSame('in about 3 weeks (from 2 to 5)', (new UntilFull(3.2, 2.4, 4.6))->inWords());
        self::assertSame('in about 1 week (from 1 to 1)', (new UntilFull(0.2, 0.1, 0.4))->inWords());
        $isTold = static fn (float $likely, ?float $latest): bool => (new UntilFull($likely, 2, $latest))->isTold();
        self::assertSame([true, true, false, false], [$isTold(3, 9), $isTold(104, 300), $isTold(105, 300), $isTold(3, null)]);
    }
}
