<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Round;

use Lottel\Core\Round\Purpose;
use Lottel\Core\Round\Round;
use Lottel\Core\Round\RoundLine;
use Lottel\Core\Round\RoundStop;
use Lottel\Core\Round\Stop;
use PHPUnit\Framework\TestCase;

final class RoundTest extends TestCase
{
    public function testStopsStandInWalkingOrderWithTheirLines(): void
    {
        $round = $this->round(Purpose::Pull, [[1, 31], [2, 12], [3, 31], [4, 11]]);
        self::assertSame([11, 12, 31], $this->places($round));
        self::assertSame([1, 3], array_column($round->at(31)->lines ?? [], 'id'));
        self::assertSame(11, $round->next()?->at->place);
        self::assertSame([2], array_column($round->linesOf(102), 'id'));
    }

    public function testHeavyAndHotThingsComeLastOnAPullAndFirstOnAReturn(): void
    {
        $lines = [[1, 11, true], [2, 21], [3, 12], [4, 31]];
        self::assertSame([21, 31, 11, 12], $this->places($this->round(Purpose::Pull, $lines)), 'with all that is in its unit');
        self::assertSame([11, 12, 21, 31], $this->places($this->round(Purpose::PutBack, $lines)));
        self::assertSame([11, 12, 21, 31], $this->places($this->round(Purpose::PutAway, [[1, 11], [2, 21], [3, 12], [4, 31]])), 'nothing is heavy');
    }

    public function testALowerLayerComesAfterWhatLiesOnIt(): void
    {
        $stops = [1 => new Stop(1, 'D6.b', 1, 500, 0, 1), 2 => new Stop(2, 'D6.a', 1, 500, 0, 0)];
        $round = Round::past(
            Purpose::Pull,
            [new RoundLine(1, 1, 'below', 1, 1), new RoundLine(2, 2, 'above', 2, 1)],
            static fn (int $place): Stop => $stops[$place],
        );
        self::assertSame([2, 1], $this->places($round));
    }

    public function testStopsAreNumberedOnFromThoseThatAreDone(): void
    {
        $round = $this->round(Purpose::Pull, [[1, 12], [2, 31]], [11, 12, 21]);
        self::assertSame([2, 4], [$round->done(), $round->total()], 'a stop that is visited again is not done');
        self::assertSame([12 => 3, 31 => 4], $round->numbers());
        $over = $this->round(Purpose::Pull, [], [11, 12]);
        self::assertNull($over->next());
        self::assertSame([2, 2, []], [$over->done(), $over->total(), $over->numbers()]);
    }

    public function testWhatIsNowhereIsToldByLine(): void
    {
        $round = Round::past(Purpose::Pull, [], static fn (int $place): Stop => new Stop($place, 'C1', 1, 0, 0), [7 => 3]);
        self::assertSame([7 => 3], $round->nowhere);
    }

    /**
     * @param list<array{0: int, 1: int, 2?: bool}> $lines number, place (tens: its unit), and whether it is heavy
     * @param list<int> $visited
     */
    private function round(Purpose $purpose, array $lines, array $visited = []): Round
    {
        return Round::past(
            $purpose,
            array_map(
                static fn (array $line): RoundLine => new RoundLine(
                    $line[0],
                    100 + $line[0],
                    'thing '.$line[0],
                    $line[1],
                    10,
                    20,
                    $line[2] ?? false,
                ),
                $lines,
            ),
            static fn (int $place): Stop => new Stop($place, 'C'.$place, intdiv($place, 10), $place % 10, 0),
            [],
            $visited,
        );
    }

    /** @return list<int> */
    private function places(Round $round): array
    {
        return array_map(static fn (RoundStop $stop): int => $stop->at->place, $round->stops);
    }
}
