<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Round;

use Lottel\Core\Round\CarriedRound;
use Lottel\Core\Round\Carry;
use Lottel\Core\Round\CarryPlanner;
use Lottel\Core\Round\Visit;
use PHPUnit\Framework\TestCase;

final class CarryPlannerTest extends TestCase
{
    /**
     * @param list<float> $at where the places are on a line; the bench is at 0
     *
     * @return list<list<float>>
     */
    private static function line(array $at): array
    {
        $all = [...$at, 0.0];

        return array_map(static fn (float $one): array => array_map(static fn (float $other): float => abs($one - $other), $all), $all);
    }

    /** @return list<string> */
    private static function said(CarriedRound $round): array
    {
        return array_map(
            static fn (Visit $visit): string => $visit->place.' -'.implode(',', $visit->takes).' +'.implode(',', $visit->puts),
            $round->visits,
        );
    }

    public function testASwapComesBackToWhereItBegan(): void
    {
        $round = (new CarryPlanner())->of([new Carry(0, 1), new Carry(1, 0)], [], self::line([1.0, 5.0]));
        self::assertSame(['0 -0 +', '1 -1 +0', '0 - +1'], self::said($round));
        self::assertSame(2, $round->mostCarried, 'both are on the table while the one waits for its place');
        self::assertSame(10.0, $round->length);
    }

    public function testOneWayIsWalkedOnceAndOtherPlacesOnTheWay(): void
    {
        $round = (new CarryPlanner())->of([new Carry(2, 0), new Carry(2, 1)], [3], self::line([1.0, 2.0, 3.0, 4.0]));
        self::assertSame(['2 -0,1 +', '3 - +', '1 - +1', '0 - +0'], self::said($round));
        self::assertSame([2, 8.0], [$round->mostCarried, $round->length]);
    }

    public function testWhatIsInHandIsPutAndNotTaken(): void
    {
        $round = (new CarryPlanner())->of([new Carry(0, 1, 3, true)], [], self::line([1.0, 2.0]));
        self::assertSame(['1 - +0'], self::said($round));
        self::assertSame(3, $round->mostCarried);
        self::assertSame([], (new CarryPlanner())->of([], [], self::line([]))->visits);
    }

    public function testFewestStopsThenFewestThingsThenShortest(): void
    {
        mt_srand(77);
        for ($trial = 0; $trial < 80; ++$trial) {
            $places = mt_rand(2, 4);
            $distances = self::line(array_map(static fn (): float => (float) mt_rand(1, 9), range(1, $places)));
            $carries = [];
            for ($i = mt_rand(1, 5); $i > 0; --$i) {
                $from = mt_rand(0, $places - 1);
                $carries[] = new Carry($from, ($from + mt_rand(1, $places - 1)) % $places, mt_rand(1, 3), 0 === mt_rand(0, 5));
            }
            $also = 0 === mt_rand(0, 1) ? [mt_rand(0, $places - 1)] : [];
            $round = (new CarryPlanner())->of($carries, $also, $distances);
            $this->assertCarriesAll($round, $carries, $also);
            self::assertSame(
                self::byTrying($carries, $also, $distances),
                [\count($round->visits), $round->mostCarried, $round->length],
                "trial {$trial}",
            );
        }
    }

    public function testAManyStoppedRoundIsFoundWithinItsTries(): void
    {
        mt_srand(5);
        $distances = self::line(array_map(static fn (): float => (float) mt_rand(1, 900), range(1, 30)));
        $carries = [];
        for ($i = 0; $i < 30; ++$i) {
            $from = mt_rand(0, 29);
            $carries[] = new Carry($from, ($from + mt_rand(1, 29)) % 30);
        }
        $round = (new CarryPlanner())->of($carries, [], $distances);
        $this->assertCarriesAll($round, $carries, []);
        self::assertLessThan(45, \count($round->visits), 'fewer stops than two for each place');
    }

    /**
     * @param list<Carry> $carries
     * @param list<int> $also
     */
    private function assertCarriesAll(CarriedRound $round, array $carries, array $also): void
    {
        $held = $put = [];
        foreach ($carries as $i => $carry) {
            $held[$i] = $carry->isInHand;
        }
        foreach ($round->visits as $visit) {
            foreach ($visit->takes as $i) {
                self::assertSame([$carries[$i]->from, false], [$visit->place, $held[$i]]);
                $held[$i] = true;
            }
            foreach ($visit->puts as $i) {
                self::assertSame([$carries[$i]->to, true], [$visit->place, $held[$i]]);
                $put[] = $i;
            }
        }
        sort($put);
        self::assertSame(array_keys($carries), $put);
        self::assertSame([], array_diff($also, array_map(static fn (Visit $visit): int => $visit->place, $round->visits)));
    }

    /**
     * Tries every order of stops.
     *
     * @param list<Carry> $carries
     * @param list<int> $also
     * @param list<list<float>> $distances
     *
     * @return array{int, int, float} stops, things at once and length of the best
     */
    private static function byTrying(array $carries, array $also, array $distances): array
    {
        $inHand = array_sum(array_map(static fn (Carry $carry): int => $carry->isInHand ? $carry->things : 0, $carries));
        $status = array_map(static fn (Carry $carry): int => $carry->isInHand ? 1 : 0, $carries);
        $best = [\PHP_INT_MAX, 0, 0.0];
        self::walkOn($carries, $distances, \count($distances) - 1, $status, $also, [0, $inHand, 0.0], $best);

        return $best;
    }

    /**
     * @param list<Carry> $carries
     * @param list<list<float>> $distances
     * @param array<int, int> $status of each carry: 0 at its place, 1 in hand, 2 put
     * @param list<int> $also
     * @param array{int, int, float} $so stops, things at once and length so far
     * @param array{int, int, float} $best
     */
    private static function walkOn(array $carries, array $distances, int $at, array $status, array $also, array $so, array &$best): void
    {
        $bench = \count($distances) - 1;
        if ([] === $also && [] === array_filter($status, static fn (int $one): bool => $one < 2)) {
            $best = min($best, [$so[0], $so[1], $so[2] + $distances[$at][$bench]]);

            return;
        }
        for ($place = 0; $place < $bench && $so[0] < min(8, $best[0]); ++$place) {
            $next = $status;
            $held = 0;
            foreach ($carries as $i => $carry) {
                $next[$i] = 0 === $status[$i] && $carry->from === $place ? 1 : $status[$i];
                $held += 1 === $next[$i] ? $carry->things : 0;
                $next[$i] = 1 === $next[$i] && $carry->to === $place ? 2 : $next[$i];
            }
            $left = array_values(array_diff($also, [$place]));
            if ($place !== $at && ($next !== $status || $left !== $also)) {
                self::walkOn($carries, $distances, $place, $next, $left, [$so[0] + 1, max($so[1], $held), $so[2] + $distances[$at][$place]], $best);
            }
        }
    }
}
