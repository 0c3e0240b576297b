<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Figures;

use Lottel\Core\Upkeep\Figures\Proportion;
use Lottel\Core\Upkeep\Figures\Trend;
use PHPUnit\Framework\TestCase;

final class FiguresTest extends TestCase
{
    public function testAShareIsWholeOnlyWhereNothingIsMissing(): void
    {
        self::assertSame(
            [null, 0, 1, 50, 99, 100],
            array_map(static fn (Proportion $share): ?int => $share->percent(), [
                new Proportion(0, 0),
                new Proportion(0, 900),
                new Proportion(1, 900),
                new Proportion(1, 2),
                new Proportion(899, 900),
                new Proportion(900, 900),
            ]),
        );
    }

    public function testATrendIsToldOnlyWhereItIsMoreThanChance(): void
    {
        $months = static fn (int ...$parts): array => array_map(static fn (int $part): Proportion => new Proportion($part, 100), array_values($parts));
        self::assertSame(1, Trend::of($months(50, 52, 70, 75)));
        self::assertSame(-1, Trend::of($months(75, 70, 52, 50)));
        self::assertSame(0, Trend::of($months(50, 52, 53, 54)));
        self::assertSame(0, Trend::of([new Proportion(1, 2), new Proportion(2, 2)]), 'of so few nobody can tell');
        self::assertSame(0, Trend::of([]));
        self::assertSame(0, Trend::of([new Proportion(0, 0), new Proportion(9, 9)]));
        self::assertSame(0, Trend::of($months(100, 100, 100, 100)));
    }

    /** Of seeded months without any change, about one in ten is told to have one. */
    public function testChanceIsSeldomTakenForATrend(): void
    {
        mt_srand(90);
        $told = 0;
        for ($room = 0; $room < 2000; ++$room) {
            $months = [];
            for ($month = 0; $month < 6; ++$month) {
                $part = 0;
                for ($i = 0; $i < 40; ++$i) {
                    $part += (int) (mt_rand(1, 10) <= 6);
                }
                $months[] = new Proportion($part, 40);
            }
            $told += (int) (0 !== Trend::of($months));
        }
        self::assertEqualsWithDelta(0.1, $told / 2000, 0.03);
    }
}
