<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Round;

use Lottel\Core\Furniture\Access;
use Lottel\Core\Round\MotionTimes;
use Lottel\Core\Round\Point;
use Lottel\Core\Round\RoundTime;
use Lottel\Core\Round\Standpoint;
use Lottel\Core\Round\TimedStop;
use PHPUnit\Framework\TestCase;

final class RoundTimeTest extends TestCase
{
    public function testItIsTheWaysTheDrawersAndTheHands(): void
    {
        $bench = new Point(0, 0);
        $stops = [new TimedStop(new Point(3000, 0), 1000, Access::Drawer, 0, 2), new TimedStop(new Point(3000, 4000), 300, Access::Open, 1, 1)];
        $times = new MotionTimes();
        $expected = $times->walk(3000 + 4000 + 5000)
            + $times->getAt(1000, Access::Drawer) + $times->getAt(300, Access::Open, 1)
            + 3 * $times->handle();
        self::assertEqualsWithDelta($expected, (new RoundTime())->seconds($stops, $bench), 1e-9);
        self::assertSame(0.0, (new RoundTime())->seconds([], $bench));
    }

    public function testMinutesAgreeWithTheirNumber(): void
    {
        self::assertSame('less than a minute', RoundTime::inWords(29.9));
        self::assertSame('about 1 minute', RoundTime::inWords(31));
        self::assertSame('about 2 minutes', RoundTime::inWords(119));
    }

    public function testADoorIsAWayOfItsOwn(): void
    {
        $here = new Standpoint(new Point(0, 0), 0);
        $there = new Standpoint(new Point(3000, 4000), 0);
        $away = new Standpoint(new Point(3000, 4000), 1);
        $nowhere = new Standpoint(null, 0);
        self::assertSame([5000.0, 11000.0, 0.0, 6000.0], array_map($here->wayTo(...), [$there, $away, $nowhere, new Standpoint(null, 2)]));
        self::assertSame([[0.0, 5000.0], [5000.0, 0.0]], Standpoint::between([$here, $there]));
    }
}
