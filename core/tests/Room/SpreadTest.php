<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Room;

use Lottel\Core\Room\Spread;
use PHPUnit\Framework\TestCase;

final class SpreadTest extends TestCase
{
    public function testWhatHasRoomStandsWhereItWants(): void
    {
        self::assertSame([], Spread::over([], 10, 100));
        self::assertSame([5.0], Spread::over([5.0], 10, 100));
        self::assertSame([0.0, 30.0, 100.0], Spread::over([0.0, 30.0, 100.0], 10, 100));
    }

    public function testTwoThatComeTooNearShareTheWay(): void
    {
        self::assertEqualsWithDelta([45.0, 55.0], Spread::over([49.0, 51.0], 10, 100), 1e-9);
        self::assertEqualsWithDelta([0.0, 10.0], Spread::over([1.0, 2.0], 10, 100), 1e-9, 'not beyond the beginning');
        self::assertEqualsWithDelta([90.0, 100.0], Spread::over([99.0, 100.0], 10, 100), 1e-9, 'not beyond the end');
    }

    public function testOrderDistanceAndEndsAreKeptAndNoneMovesMoreThanItMust(): void
    {
        mt_srand(2611);
        for ($round = 0; $round < 400; ++$round) {
            $wanted = array_map(static fn (): float => (float) mt_rand(0, 1000), range(1, mt_rand(1, 9)));
            sort($wanted);
            $apart = (float) mt_rand(1, 100);
            $at = Spread::over($wanted, $apart, 1000.0);
            self::assertCount(\count($wanted), $at);
            self::assertGreaterThanOrEqual(-1e-6, min($at));
            self::assertLessThanOrEqual(1000.0 + 1e-6, max($at));
            foreach (\array_slice($at, 1) as $nth => $where) {
                self::assertGreaterThanOrEqual($apart - 1e-6, $where - $at[$nth]);
            }
            $moved = self::cost($wanted, $at);
            foreach (array_keys($at) as $nth) {
                foreach ([-0.5, 0.5] as $step) {
                    $other = $at;
                    $other[$nth] += $step;
                    if (self::isAllowed($other, $apart)) {
                        self::assertGreaterThanOrEqual($moved - 1e-6, self::cost($wanted, array_values($other)), 'no single step makes it better');
                    }
                }
            }
        }
    }

    /**
     * @param list<float> $wanted
     * @param list<float> $at
     */
    private static function cost(array $wanted, array $at): float
    {
        return array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $wanted, $at));
    }

    /** @param array<int, float> $at */
    private static function isAllowed(array $at, float $apart): bool
    {
        foreach ($at as $nth => $where) {
            if ($where < 0 || $where > 1000 || (isset($at[$nth + 1]) && $at[$nth + 1] - $where < $apart)) {
                return false;
            }
        }

        return true;
    }
}
