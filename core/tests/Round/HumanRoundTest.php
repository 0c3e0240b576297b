<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Round;

use Lottel\Core\Furniture\Access;
use Lottel\Core\Round\FloorPlan;
use Lottel\Core\Round\HumanRound;
use Lottel\Core\Round\MotionTimes;
use Lottel\Core\Round\Obstacle;
use Lottel\Core\Round\Point;
use Lottel\Core\Round\Visit;
use PHPUnit\Framework\TestCase;

final class HumanRoundTest extends TestCase
{
    public function testStopsOfAUnitStayTogetherTopToBottomLowerLayersLast(): void
    {
        $near = new Point(1000, 0);
        $far = new Point(4000, 0);
        $visits = [
            new Visit('C5.b', 3, $near, 500, layer: 1),
            new Visit('H2', 8, $far, 900),
            new Visit('C1', 3, $near, 1200),
            new Visit('C5.a', 3, $near, 500),
            new Visit('H1', 8, $far, 1500),
            new Visit('C1', 3, $near, 1200),
        ];
        $round = (new HumanRound(new FloorPlan([])))->plan(new Point(0, 0), $visits);
        $addresses = $this->addresses($round['visits']);
        self::assertContains($addresses, [['C1', 'C5.a', 'C5.b', 'H1', 'H2'], ['H1', 'H2', 'C1', 'C5.a', 'C5.b']]);
        self::assertSame(2, $round['visits'][(int) array_search('C1', $addresses, true)]->things, 'one visit for each place');
        self::assertEqualsWithDelta(8000, $round['length'], 1e-6);
    }

    public function testHeavyAndHotThingsComeLastOnAPullAndFirstOnAReturn(): void
    {
        $visits = [
            new Visit('F5', 6, new Point(500, 0), 300, isLast: true),
            new Visit('C3', 3, new Point(3000, 0), 900),
            new Visit('F1', 6, new Point(500, 0), 1200),
            new Visit('H8', 8, new Point(6000, 0), 600),
        ];
        $human = new HumanRound(new FloorPlan([new Obstacle(1000, -100, 500, 300)]));
        self::assertSame(['C3', 'H8', 'F1', 'F5'], $this->addresses($human->plan(new Point(0, 0), $visits)['visits']));
        $back = $this->addresses($human->plan(new Point(0, 0), $visits, true)['visits']);
        self::assertSame(['F5', 'F1'], \array_slice($back, 0, 2));
    }

    public function testNothingToVisitTakesNoTime(): void
    {
        self::assertSame(['visits' => [], 'length' => 0.0, 'seconds' => 0.0], (new HumanRound(new FloorPlan([])))->plan(new Point(0, 0), []));
    }

    public function testWhatIsLowHighDeepOrBehindADoorTakesLonger(): void
    {
        $times = new MotionTimes();
        $easy = $times->getAt(1000, Access::Open);
        foreach (
            [
                $times->getAt(300, Access::Open),
                $times->getAt(2100, Access::Open),
                $times->getAt(1000, Access::Drawer),
                $times->getAt(1000, Access::Open, 1),
                $times->getAt(1000, Access::Open, 0, true),
            ] as $harder
        ) {
            self::assertGreaterThan($easy, $harder);
        }
        self::assertGreaterThan($times->getAt(300, Access::Drawer), $times->getAt(2100, Access::Drawer), 'a stool is worse than a bend');
        self::assertEqualsWithDelta(0.54, $times->walk(860), 1e-9, 'a pace of 15 TMU');
    }

    /**
     * @param list<Visit> $visits
     *
     * @return list<string>
     */
    private function addresses(array $visits): array
    {
        return array_map(static fn (Visit $visit): string => $visit->address, $visits);
    }
}
