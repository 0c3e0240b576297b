<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Round;

use Lottel\Core\Round\FloorPlan;
use Lottel\Core\Round\LocalSearch;
use Lottel\Core\Round\Obstacle;
use Lottel\Core\Round\Point;
use Lottel\Core\Round\RoundPlanner;
use PHPUnit\Framework\TestCase;

final class RoundPlannerTest extends TestCase
{
    public function testNoStopsAreNoWayOrTheWayToTheEnd(): void
    {
        $planner = new RoundPlanner();
        self::assertSame([[], 0.0, true], [$planner->plan([[0.0]], 0)->order, $planner->plan([[0.0]], 0)->length, $planner->plan([[0.0]], 0)->isOptimal]);
        self::assertSame(500.0, $planner->plan([[0.0, 500.0], [500.0, 0.0]], 0)->length);
    }

    public function testStopsOnALineAreVisitedAlongIt(): void
    {
        foreach ([10, 25] as $count) {
            $order = range(1, $count);
            mt_srand($count);
            shuffle($order);
            $shuffled = array_map(static fn (int $i): Point => new Point(100.0 * $i, 0), [0, ...$order]);
            $round = (new RoundPlanner())->plan((new FloorPlan([]))->distances($shuffled), $count);
            self::assertEqualsWithDelta(100.0 * $count, $round->length, 1e-6);
            self::assertSame(range(1, $count), array_map(static fn (int $stop): int => $order[$stop], $round->order));
        }
    }

    public function testStopsOnTheSameSpotCostNothing(): void
    {
        $here = array_fill(0, 20, new Point(300, 400));
        $round = (new RoundPlanner())->plan((new FloorPlan([]))->distances([new Point(0, 0), ...$here, new Point(0, 0)]), 20);
        self::assertEqualsWithDelta(1000, $round->length, 1e-6);
        self::assertTrue($round->isOptimal || $round->lowerBound > 990);
    }

    public function testTheSameRoundIsPlannedTheSameEachTime(): void
    {
        mt_srand(4);
        $points = array_map(static fn (): Point => new Point(mt_rand(0, 5000), mt_rand(0, 5000)), range(0, 40));
        $distances = (new FloorPlan([new Obstacle(1000, 1000, 700, 700)]))->distances($points);
        self::assertEquals((new RoundPlanner())->plan($distances, 40), (new RoundPlanner())->plan($distances, 40));
    }

    public function testTheSearchKeepsStartAndEndAndVisitsAll(): void
    {
        mt_srand(5);
        for ($case = 0; $case < 30; ++$case) {
            $stops = mt_rand(1, 30);
            $points = array_map(static fn (): Point => new Point(mt_rand(0, 5000), mt_rand(0, 5000)), range(0, $stops + 1));
            $order = (new LocalSearch())->improve((new FloorPlan([]))->distances($points), $stops);
            self::assertSame([0, $stops + 1], [$order[0], $order[$stops + 1]]);
            self::assertEqualsCanonicalizing(range(0, $stops + 1), $order);
        }
    }

    /** Walking distances are a metric: symmetric, at least the straight line, and no detour over a third place is shorter. */
    public function testWalkingDistancesAreAMetric(): void
    {
        mt_srand(6);
        for ($case = 0; $case < 15; ++$case) {
            $obstacles = array_map(
                static fn (): Obstacle => new Obstacle(mt_rand(0, 3000), mt_rand(0, 3000), mt_rand(100, 900), mt_rand(100, 900)),
                range(1, mt_rand(1, 6)),
            );
            $plan = new FloorPlan($obstacles);
            $points = array_values(
                array_filter(array_map(static fn (): Point => new Point(mt_rand(-100, 4000), mt_rand(-100, 4000)), range(1, 12)), $plan->isFree(...)),
            );
            $distances = $plan->distances($points);
            foreach ($points as $i => $one) {
                foreach ($points as $j => $other) {
                    self::assertSame($distances[$i][$j], $distances[$j][$i]);
                    self::assertGreaterThanOrEqual($one->distanceTo($other) - 1e-6, $distances[$i][$j]);
                    foreach (array_keys($points) as $k) {
                        self::assertLessThanOrEqual($distances[$i][$k] + $distances[$k][$j] + 1e-3, $distances[$i][$j]);
                    }
                }
            }
        }
    }
}
