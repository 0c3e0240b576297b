<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep;

use Lottel\Core\Upkeep\BestMoves;
use Lottel\Core\Upkeep\Living;
use Lottel\Core\Upkeep\LivingPlace;
use Lottel\Core\Upkeep\Moves;
use Lottel\Core\Upkeep\Rehoming;
use PHPUnit\Framework\TestCase;

final class BestMovesTest extends TestCase
{
    /** @return array{list<Living>, list<LivingPlace>} */
    private static function room(int $things, int $places, int $slack, bool $isEven = false): array
    {
        $living = $load = [];
        $where = array_fill(0, $places, 0);
        for ($i = 0; $i < $things; ++$i) {
            $place = mt_rand(0, $places - 1);
            $size = mt_rand(1, 9);
            $may = array_values(array_filter(range(0, $places - 1), static fn (int $q): bool => 0 !== mt_rand(0, 2)));
            $living[] = new Living($place, $isEven ? (float) mt_rand(0, 3) : mt_rand(0, 4000) / 100, $size, $may);
            $where[$place] += $size;
        }
        foreach ($where as $now) {
            $load[] = new LivingPlace($isEven ? (float) mt_rand(1, 4) : mt_rand(100, 2000) / 100, max(0, $now + mt_rand(-4, $slack)));
        }

        return [$living, $load];
    }

    /**
     * Tries every plan there is.
     *
     * @param list<Living> $things
     * @param list<LivingPlace> $places
     *
     * @return array{float, int} seconds and moves of the best one
     */
    private static function byTrying(array $things, array $places, int $most): array
    {
        $question = new Rehoming($things, $places, $most);
        $best = [$question->before, 0];
        foreach (self::plans($question, 0, []) as $to) {
            if ($question->keepsTo($to)) {
                $cost = $question->before - $question->saved($to);
                $isBetter = $cost < $best[0] - 1e-9 || ($cost < $best[0] + 1e-9 && \count($to) < $best[1]);
                $best = $isBetter ? [$cost, \count($to)] : $best;
            }
        }

        return $best;
    }

    /**
     * @param array<int, int> $to what is decided of the first things
     *
     * @return \Generator<array<int, int>> all plans of so many moves at the most, allowed or not
     */
    private static function plans(Rehoming $question, int $i, array $to): \Generator
    {
        if ($i === \count($question->things)) {
            yield $to;

            return;
        }
        yield from self::plans($question, $i + 1, $to);
        foreach (\count($to) < $question->most ? array_keys($question->saves[$i]) : [] as $q) {
            yield from self::plans($question, $i + 1, $to + [$i => $q]);
        }
    }

    /**
     * @param list<Living> $things
     * @param list<LivingPlace> $places
     */
    private function assertPlanHolds(Moves $moves, array $things, array $places, int $most): void
    {
        $question = new Rehoming($things, $places, $most);
        self::assertTrue($question->keepsTo($moves->to), 'no rule is broken');
        $after = 0.0;
        foreach ($things as $i => $thing) {
            $after += $thing->uses * $places[$moves->to[$i] ?? $thing->place]->seconds;
        }
        self::assertEqualsWithDelta($after, $moves->after, 1e-9, 'carrying it out gives what it promised');
        self::assertLessThanOrEqual($moves->before + 1e-9, $moves->after);
        self::assertLessThanOrEqual($moves->after + 1e-12, $moves->bound);
    }

    public function testTheBestOfAllPlansIsFoundInSmallRooms(): void
    {
        mt_srand(14);
        for ($round = 0; $round < 160; ++$round) {
            [$things, $places] = self::room(mt_rand(0, 6), mt_rand(1, 4), mt_rand(0, 12), 0 === $round % 2);
            $most = mt_rand(0, 6);
            $moves = (new BestMoves())->of($things, $places, $most);
            [$cost, $many] = self::byTrying($things, $places, $most);
            $this->assertPlanHolds($moves, $things, $places, $most);
            self::assertTrue($moves->isOptimal, "round {$round}");
            self::assertEqualsWithDelta($cost, $moves->after, 1e-8, "round {$round}");
            self::assertCount($many, $moves->to, "round {$round}: of equal plans the one with fewest moves");
            self::assertSame($moves->after, $moves->bound);
        }
    }

    public function testAnOverFullPlaceMayStaySoWhileItTakesNothingIn(): void
    {
        $places = [new LivingPlace(2, 5), new LivingPlace(9, 100)];
        $full = [new Living(0, 1, 4, []), new Living(0, 1, 4, [1])];
        self::assertSame([], (new BestMoves())->of($full, $places, 5)->to, 'nothing is saved by moving');
        $wanted = [...$full, new Living(1, 50, 1, [0])];
        $moves = (new BestMoves())->of($wanted, $places, 5);
        self::assertSame([1 => 1, 2 => 0], $this->inOrder($moves->to), 'one makes way, and the other comes');
        self::assertSame([], (new BestMoves())->of($wanted, $places, 1)->to, 'with one move it would take something in and be over-full');
    }

    /**
     * @param array<int, int> $to
     *
     * @return array<int, int>
     */
    private function inOrder(array $to): array
    {
        ksort($to);

        return $to;
    }

    public function testASwapIsMadeWhereNeitherFitsAlone(): void
    {
        $places = [new LivingPlace(1, 10), new LivingPlace(10, 10)];
        $things = [new Living(0, 1, 10, [1]), new Living(1, 30, 10, [0])];
        $moves = (new BestMoves())->of($things, $places, 2);
        self::assertEquals([0 => 1, 1 => 0], $moves->to);
        self::assertSame([301.0, 40.0, 40.0], [$moves->before, $moves->after, $moves->bound]);
    }

    public function testNothingToDoIsNoPlan(): void
    {
        $none = (new BestMoves())->of([], [], 10);
        self::assertSame([[], 0.0, 0.0, 0.0, true], [$none->to, $none->before, $none->after, $none->bound, $none->isOptimal]);
        $unused = (new BestMoves())->of([new Living(0, 0, 3, [1])], [new LivingPlace(9, 9), new LivingPlace(0, 9)], 10);
        self::assertSame([], $unused->to, 'what is never fetched stays where it is');
    }

    public function testTheBoundIsBelowWhatIsFoundInLargerRooms(): void
    {
        mt_srand(300);
        for ($round = 0; $round < 3; ++$round) {
            [$things, $places] = self::room(120, 20, 10);
            $moves = (new BestMoves(200_000))->of($things, $places, 15);
            $this->assertPlanHolds($moves, $things, $places, 15);
            self::assertGreaterThanOrEqual($moves->bound, $moves->after);
        }
    }
}
