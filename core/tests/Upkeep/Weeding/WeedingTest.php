<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Weeding;

use Lottel\Core\Upkeep\Weeding\UnusedRoom;
use Lottel\Core\Upkeep\Weeding\UnusedThing;
use Lottel\Core\Upkeep\Weeding\UsedUp;
use PHPUnit\Framework\TestCase;

final class WeedingTest extends TestCase
{
    public function testLongerIsLess(): void
    {
        $room = new UnusedRoom([
            new UnusedThing(1, 7, 100, 2.0), new UnusedThing(2, 7, 200, 3.0), new UnusedThing(3, 8, 400, 8.0), new UnusedThing(4, 8, 800, 1.0),
        ]);
        self::assertSame([3, 2, 1], array_map(static fn (int $months): int => \count($room->since($months)->things), UnusedRoom::MONTHS));
        self::assertSame([12.0, 9.0, 1.0], array_map(static fn (int $months): float => $room->since($months)->litres(), UnusedRoom::MONTHS));
        self::assertSame([8, 7], array_keys($room->byPlace()), 'where most of it lies');
    }

    public function testVolumeIsToldInDrawers(): void
    {
        $of = static fn (float $litres): array => UnusedRoom::asDrawers($litres, 10.0);
        self::assertSame([1.0, 1.0, 0.5], $of(25.0));
        self::assertSame([1.0], $of(10.0));
        self::assertSame([], $of(0.0));
        mt_srand(12);
        for ($round = 0; $round < 100; ++$round) {
            $litres = mt_rand(0, 900) / 10;
            self::assertEqualsWithDelta($litres, 10 * array_sum($of($litres)), 0.06, 'nothing is lost in the drawing');
        }
    }

    public function testAMonthAddsUp(): void
    {
        $month = new UsedUp(120, 40, 25, 10, 65);
        self::assertSame(0, $month->otherwise());
        self::assertSame(54, $month->gone());
        self::assertSame(-3, (new UsedUp(120, 40, 25, 10, 62))->otherwise(), 'three were lost');
        self::assertNull((new UsedUp(0, 0, 0, 5, 5))->gone());
        self::assertSame(100, (new UsedUp(10, 12, 0, 5, 3))->gone(), 'never more than all');
    }
}
