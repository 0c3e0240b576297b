<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Reference;

use Lottel\Core\Round\FloorPlan;
use Lottel\Core\Round\Obstacle;
use Lottel\Core\Round\Point;
use Lottel\Core\Round\RoundPlanner;
use PHPUnit\Framework\TestCase;

/** Rounds against a published instance, against trying every order, and against hand-worked ways round a table. */
final class RoundReferenceTest extends TestCase
{
    /**
     * berlin52 of TSPLIB (G. Reinelt, 1991), a closed tour of 52 places; its shortest tour is 7544.3659 long in unrounded
     * distances (7542 in TSPLIB's rounded ones). Coordinates and length from memory.
     */
    private const BERLIN52 = [
        [565, 575],
        [25, 185],
        [345, 750],
        [945, 685],
        [845, 655],
        [880, 660],
        [25, 230],
        [525, 1000],
        [580, 1175],
        [650, 1130],
        [1605, 620],
        [1220, 580],
        [1465, 200],
        [1530, 5],
        [845, 680],
        [725, 370],
        [145, 665],
        [415, 635],
        [510, 875],
        [560, 365],
        [300, 465],
        [520, 585],
        [480, 415],
        [835, 625],
        [975, 580],
        [1215, 245],
        [1320, 315],
        [1250, 400],
        [660, 180],
        [410, 250],
        [420, 555],
        [575, 665],
        [1150, 1160],
        [700, 580],
        [685, 595],
        [685, 610],
        [770, 610],
        [795, 645],
        [720, 635],
        [760, 650],
        [475, 960],
        [95, 260],
        [875, 920],
        [700, 500],
        [555, 815],
        [830, 485],
        [1170, 65],
        [830, 610],
        [605, 625],
        [595, 360],
        [1340, 725],
        [1740, 245],
    ];

    public function testAPublishedTourIsFoundAndBounded(): void
    {
        $points = array_map(static fn (array $xy): Point => new Point($xy[0], $xy[1]), self::BERLIN52);
        $distances = (new FloorPlan([]))->distances([...$points, $points[0]]);
        $round = (new RoundPlanner())->plan($distances, 51);
        self::assertGreaterThanOrEqual(7544.3658, $round->length);
        self::assertLessThanOrEqual(7544.3659 * 1.02, $round->length);
        self::assertLessThanOrEqual(7544.3660, $round->lowerBound);
        self::assertGreaterThan(7544.3659 * 0.99, $round->lowerBound);
        self::assertEqualsCanonicalizing(range(0, 50), $round->order);
    }

    /** Every order of up to seven stops, open, closed and with another end, among obstacles. */
    public function testSmallRoundsAreTheShortestOfAllOrders(): void
    {
        mt_srand(613);
        for ($case = 0; $case < 60; ++$case) {
            $obstacles = $this->obstacles(mt_rand(0, 4));
            $plan = new FloorPlan($obstacles);
            $stops = mt_rand(1, 6);
            $points = $this->freePoints($plan, $stops + 2);
            $hasEnd = 0 !== $case % 3;
            $distances = $plan->distances($hasEnd ? $points : \array_slice($points, 0, -1));
            if ([] !== array_filter(array_merge(...$distances), is_infinite(...))) {
                continue;
            }
            $round = (new RoundPlanner())->plan($distances, $stops);
            $best = $this->shortest($distances, 0, range(1, $stops), $hasEnd ? $stops + 1 : null);
            self::assertEqualsWithDelta($best, $round->length, 1e-6, "case {$case}");
            self::assertTrue($round->isOptimal);
        }
    }

    /** The bound never passes the optimum, and the search is within 2 % of it, which the bound itself proves. */
    public function testSixtyStopsAreWithinTwoPerCentOfTheBound(): void
    {
        mt_srand(60);
        for ($case = 0; $case < 3; ++$case) {
            $plan = new FloorPlan($this->obstacles(5));
            $points = $this->freePoints($plan, 61);
            $round = (new RoundPlanner())->plan($plan->distances($points), 60);
            self::assertLessThanOrEqual($round->length, $round->lowerBound);
            self::assertLessThan(1.02, $round->length / $round->lowerBound);
        }
    }

    public function testTheBoundNeverPassesTheOptimum(): void
    {
        mt_srand(8);
        $bound = new \Lottel\Core\Round\SpanningBound();
        for ($case = 0; $case < 60; ++$case) {
            $stops = mt_rand(4, 11);
            $points = $this->freePoints(new FloorPlan([]), $stops + 2);
            $distances = (new FloorPlan([]))->distances($points);
            $exact = (new RoundPlanner())->plan($distances, $stops)->length;
            $distances[0][$stops + 1] = $distances[$stops + 1][0] = \INF;
            self::assertLessThanOrEqual($exact + 1e-6, $bound->of(array_map(array_values(...), $distances), $exact * 1.1));
        }
    }

    /** Worked by hand: round a table 800 × 600 the way goes over one corner, or over two. */
    public function testTheWayRoundATable(): void
    {
        $table = new FloorPlan([new Obstacle(500, 500, 800, 600)]);
        $way = static fn (float $x1, float $y1, float $x2, float $y2): float => $table->distances([new Point($x1, $y1), new Point($x2, $y2)])[0][1];
        self::assertEqualsWithDelta(hypot(500, 300) + hypot(500, 300), $way(0, 800, 1000, 1400), 1e-6, 'over the lower left corner');
        self::assertEqualsWithDelta(hypot(500, 300) + 800 + hypot(200, 300), $way(0, 800, 1500, 800), 1e-6, 'over two corners');
        self::assertEqualsWithDelta(800, $way(500, 500, 1300, 500), 1e-9, 'along its edge');
        self::assertEqualsWithDelta(600, $way(400, 200, 1000, 200), 1e-9, 'in sight');
        $two = new FloorPlan([new Obstacle(0, 0, 100, 100), new Obstacle(100, 0, 100, 100)]);
        self::assertEqualsWithDelta(100, $two->distances([new Point(100, 0), new Point(100, 100)])[0][1], 1e-9, 'between two that touch');
        self::assertFalse($two->isFree(new Point(50, 50)));
        $ring = new FloorPlan([new Obstacle(0, 0, 300, 110), new Obstacle(0, 190, 300, 110), new Obstacle(0, 0, 110, 300), new Obstacle(190, 0, 110, 300)]);
        self::assertInfinite($ring->distances([new Point(-10, -10), new Point(150, 150)])[0][1], 'walled in');
    }

    /**
     * @param list<list<float>> $distances
     * @param list<int> $open
     */
    private function shortest(array $distances, int $at, array $open, ?int $end): float
    {
        if ([] === $open) {
            return null === $end ? 0.0 : $distances[$at][$end];
        }
        $best = \INF;
        foreach ($open as $next) {
            $best = min($best, $distances[$at][$next] + $this->shortest($distances, $next, array_values(array_diff($open, [$next])), $end));
        }

        return $best;
    }

    /** @return list<Obstacle> */
    private function obstacles(int $count): array
    {
        $obstacles = [];
        for ($i = 0; $i < $count; ++$i) {
            $obstacles[] = new Obstacle(mt_rand(0, 4000), mt_rand(0, 3000), mt_rand(100, 1200), mt_rand(100, 900));
        }

        return $obstacles;
    }

    /** @return list<Point> */
    private function freePoints(FloorPlan $plan, int $count): array
    {
        $points = [];
        while (\count($points) < $count) {
            $point = new Point(mt_rand(-200, 5200), mt_rand(-200, 4200));
            if ($plan->isFree($point)) {
                $points[] = $point;
            }
        }

        return $points;
    }
}
