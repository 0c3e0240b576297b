<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep;

use Lottel\Core\Upkeep\ExchangeSearch;
use Lottel\Core\Upkeep\Living;
use Lottel\Core\Upkeep\LivingPlace;
use Lottel\Core\Upkeep\Rehoming;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Exchanges where no room is free. */
final class ExchangeSearchTest extends TestCase
{
    /** @param list<array{int, float, int}> $things place, uses and size of each; all may live everywhere */
    private static function full(array $things, int $most): Rehoming
    {
        $seconds = [2.0, 5.0, 9.0];
        $room = [0, 0, 0];
        foreach ($things as [$place, , $size]) {
            $room[$place] += $size;
        }
        $places = array_map(static fn (float $one, int $held): LivingPlace => new LivingPlace($one, $held), $seconds, $room);

        return new Rehoming(
            array_map(static fn (array $thing): Living => new Living($thing[0], $thing[1], $thing[2], [0, 1, 2]), $things),
            $places,
            $most,
        );
    }

    public function testOneLargeThingMakesRoomForTwoSmallOnes(): void
    {
        $question = self::full([[0, 1.0, 10], [2, 20.0, 4], [2, 15.0, 6], [1, 3.0, 7]], 3);
        $plan = ExchangeSearch::better($question, [0.0, 0.0, 0.0], [], []);
        ksort($plan);
        self::assertSame([0 => 2, 1 => 0, 2 => 0], $plan);
        $few = self::full([[0, 1.0, 10], [2, 20.0, 4], [2, 15.0, 6]], 2);
        self::assertSame([], ExchangeSearch::better($few, [0.0, 0.0, 0.0], [], []), 'two moves are too few for it');
    }

    public function testThreeThingsGoAround(): void
    {
        // Of the same size, and each may go to one place only.
        $question = new Rehoming(
            [new Living(2, 9.0, 5, [0]), new Living(0, 1.0, 5, [1]), new Living(1, 2.0, 5, [2])],
            [new LivingPlace(2.0, 5), new LivingPlace(5.0, 5), new LivingPlace(9.0, 5)],
            3,
        );
        $plan = ExchangeSearch::better($question, [0.0, 0.0, 0.0], [], []);
        ksort($plan);
        self::assertSame([0 => 0, 1 => 1, 2 => 2], $plan);
    }

    public function testAPlanKeepsTheRulesAndIsNeverWorseThanTheOneItBetters(): void
    {
        $random = new Randomizer(new Mt19937(40));
        for ($i = 0; $i < 60; ++$i) {
            $things = [];
            for ($n = $random->getInt(4, 14); $n > 0; --$n) {
                $things[] = [$random->getInt(0, 2), $random->getInt(0, 90) / 10, $random->getInt(1, 9)];
            }
            $question = self::full($things, $random->getInt(0, 8));
            $plan = ExchangeSearch::better($question, [0.0, 0.0, 0.0], [], []);
            self::assertTrue($question->keepsTo($plan));
            self::assertGreaterThanOrEqual(0.0, $question->saved($plan));
            $again = ExchangeSearch::better($question, [0.0, 0.0, 0.0], $plan, []);
            self::assertGreaterThanOrEqual($question->saved($plan), $question->saved($again));
        }
    }
}
