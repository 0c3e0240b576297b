<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Lost;

use Lottel\Core\Furniture\Front;
use Lottel\Core\Measure\Length;
use Lottel\Core\Upkeep\Lost\Clue;
use Lottel\Core\Upkeep\Lost\ClueWeights;
use Lottel\Core\Upkeep\Lost\LikelyPlace;
use Lottel\Core\Upkeep\Lost\LookingOrder;
use Lottel\Core\Upkeep\Lost\PlaceInUnit;
use Lottel\Core\Upkeep\Lost\Trace;
use Lottel\Core\Upkeep\Lost\Trail;
use PHPUnit\Framework\TestCase;

final class TraceTest extends TestCase
{
    private static function trail(): Trail
    {
        return new Trail([
            Clue::Home->value => [11],
            Clue::Neighbour->value => [10, 12],
            Clue::Round->value => [5, 12, 5],
            Clue::Mirrored->value => [],
        ]);
    }

    public function testAPlaceThatSeveralCluesPointAtIsLikelier(): void
    {
        $likely = (new Trace(ClueWeights::usual()))->likely(self::trail());
        self::assertSame([12, 11, 5, 10, 0], array_map(static fn (LikelyPlace $one): int => $one->place, $likely));
        self::assertSame([Clue::Neighbour, Clue::Round], $likely[0]->clues);
        // weights 2.5, 2.5 and 3 of 8, and 1.5 of 9.5 for elsewhere
        $inSome = 1 - 1.5 / 9.5;
        self::assertEqualsWithDelta($inSome * (2.5 / 2 + 3.0 / 2) / 8, $likely[0]->chance, 1e-12);
        self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn (LikelyPlace $one): float => $one->chance, $likely)), 1e-12);
    }

    public function testALookInVainMakesItLessLikelyByBayes(): void
    {
        $trace = new Trace(ClueWeights::usual());
        $before = self::byPlace($trace->likely(self::trail()));
        $after = self::byPlace($trace->likely(self::trail(), [12 => 1, 99 => 3]));
        $p = $before[12];
        self::assertEqualsWithDelta($p * (1 - Trace::FINDS) / (1 - $p * Trace::FINDS), $after[12], 1e-12);
        self::assertEqualsWithDelta($before[11] / (1 - $p * Trace::FINDS), $after[11], 1e-12);
        self::assertGreaterThan($before[0], $after[0], 'elsewhere becomes likelier, too');
        $never = self::byPlace($trace->likely(self::trail(), array_fill_keys([5, 10, 11, 12], 9)));
        self::assertGreaterThan(0.99, $never[0]);
    }

    public function testWhatCameTrueWeighsMore(): void
    {
        $weights = ClueWeights::usual();
        $usual = self::byPlace((new Trace($weights))->likely(self::trail()));
        for ($found = 0; $found < 12; ++$found) {
            $weights = $weights->learn(self::trail(), 11);
        }
        $learned = self::byPlace((new Trace($weights))->likely(self::trail()));
        self::assertGreaterThan(1.6 * $usual[11], $learned[11]);
        self::assertEqualsWithDelta(0.1, $learned[0], 0.02, 'a tenth is kept for elsewhere');
        for ($found = 0; $found < 30; ++$found) {
            $weights = $weights->learn(self::trail(), 77);
        }
        self::assertGreaterThan(0.5, self::byPlace((new Trace($weights))->likely(self::trail()))[0], 'no clue pointed there');
    }

    public function testWithoutACluesItIsElsewhere(): void
    {
        $likely = (new Trace(ClueWeights::usual()))->likely(new Trail([]));
        self::assertCount(1, $likely);
        self::assertSame([0, 1.0], [$likely[0]->place, $likely[0]->chance]);
    }

    public function testTheOrderFindsSoonestOnAverage(): void
    {
        mt_srand(1956);
        for ($round = 0; $round < 60; ++$round) {
            $likely = $seconds = [];
            $left = 0.75;
            for ($place = 1; $place <= 5; ++$place) {
                $chance = 5 === $place ? $left : $left * mt_rand(10, 60) / 100;
                $likely[] = new LikelyPlace($place, $chance, [], 0);
                $left -= $chance;
                $seconds[$place] = (float) mt_rand(2, 60);
            }
            usort($likely, static fn (LikelyPlace $a, LikelyPlace $b): int => $b->chance <=> $a->chance);
            $order = LookingOrder::of($likely, $seconds);
            foreach (self::orders($likely) as $other) {
                self::assertGreaterThanOrEqual(self::expected($order, $seconds) - 1e-9, self::expected($other, $seconds), "round {$round}");
            }
        }
    }

    public function testASearchEndsWhereItIsNotWorthIt(): void
    {
        $likely = array_map(static fn (int $place): LikelyPlace => new LikelyPlace($place, 0.09, [], 0), range(1, 10));
        self::assertCount(8, LookingOrder::of([...$likely, new LikelyPlace(0, 0.1, [], 0)], []));
        $sure = [new LikelyPlace(4, 0.85, [], 0), new LikelyPlace(5, 0.05, [], 0), new LikelyPlace(0, 0.1, [], 0)];
        self::assertSame([4], array_map(static fn (LikelyPlace $one): int => $one->place, LookingOrder::of($sure, [])));
    }

    public function testChancesAddUpWhateverIsKnown(): void
    {
        mt_srand(1946);
        for ($round = 0; $round < 300; ++$round) {
            $places = [];
            foreach (Clue::cases() as $clue) {
                $places[$clue->value] = array_map(static fn (): int => mt_rand(1, 20), array_fill(0, mt_rand(0, 4), 0));
            }
            $trail = new Trail($places);
            $weights = ClueWeights::usual();
            for ($found = mt_rand(0, 6); $found > 0; --$found) {
                $weights = $weights->learn($trail, mt_rand(1, 20));
            }
            $likely = (new Trace($weights))->likely($trail, [mt_rand(1, 20) => mt_rand(0, 3)]);
            self::assertEqualsWithDelta(1.0, array_sum(self::byPlace($likely)), 1e-9);
            self::assertSame(0, $likely[\count($likely) - 1]->place);
            self::assertGreaterThanOrEqual(ClueWeights::LEAST_ELSEWHERE - 1e-9, $likely[\count($likely) - 1]->chance);
        }
    }

    /**
     * @param list<LikelyPlace> $likely
     *
     * @return array<int, float> chance by place
     */
    private static function byPlace(array $likely): array
    {
        $chances = [];
        foreach ($likely as $one) {
            $chances[$one->place] = $one->chance;
        }

        return $chances;
    }

    /**
     * @param list<LikelyPlace> $order
     * @param array<int, float> $seconds
     */
    private static function expected(array $order, array $seconds): float
    {
        $at = $expected = 0.0;
        foreach ($order as $one) {
            $at += LookingOrder::LOOK_SECONDS + $seconds[$one->place];
            $expected += $one->chance * $at;
        }

        return $expected;
    }

    /**
     * @param list<LikelyPlace> $places
     *
     * @return list<list<LikelyPlace>> every order of them
     */
    private static function orders(array $places): array
    {
        if ([] === $places) {
            return [[]];
        }
        $orders = [];
        foreach ($places as $i => $first) {
            $rest = $places;
            unset($rest[$i]);
            foreach (self::orders(array_values($rest)) as $order) {
                $orders[] = [$first, ...$order];
            }
        }

        return $orders;
    }

    public function testOfCluesThatCameTrueTheOneThatPointedAtFewestPlacesLearnsMost(): void
    {
        $trail = new Trail([Clue::Round->value => [1, 2, 3, 4], Clue::Table->value => [1]]);
        $table = new Trail([Clue::Table->value => [8], Clue::Round->value => [9]]);
        $before = ClueWeights::usual()->chances($table);
        $after = ClueWeights::usual()->learn($trail, 1)->chances($table);
        $weight = static fn (Clue $clue): float => $clue->weight();
        $share = $weight(Clue::Round) / 4 / ($weight(Clue::Round) / 4 + $weight(Clue::Table));
        $expected = ($weight(Clue::Round) + $share) / ($weight(Clue::Table) + 1 - $share);
        self::assertEqualsWithDelta($expected, $after[9] / $after[8], 1e-9, 'its share is divided by the four places it named');
        self::assertGreaterThan($after[9] / $after[8], $before[9] / $before[8] + 0.0001 + $expected);
    }

    public function testWhatIsBesideAPlaceAndWhatMirrorsIt(): void
    {
        $mm = static fn (int $mm): Length => Length::ofTicks($mm * Length::TICKS_PER_MILLIMETRE);
        $front = static fn (int $x, int $y): Front => new Front($mm($x), $mm($y), $mm(100), $mm(100));
        $home = new PlaceInUnit(1, 10, null, $front(0, 0), '1', 'chest');
        $below = new PlaceInUnit(2, 10, null, $front(0, 100), '2', 'chest');
        $far = new PlaceInUnit(3, 10, null, $front(0, 300), '4', 'chest');
        $part = new PlaceInUnit(4, 10, 1, null, '1A', 'chest');
        $sibling = new PlaceInUnit(5, 10, 1, null, '1B', 'chest');
        $twin = new PlaceInUnit(6, 11, null, $front(0, 0), '1', 'chest');
        $other = new PlaceInUnit(7, 12, null, $front(0, 0), '1', 'shelf');
        $beside = static fn (PlaceInUnit $of): array => array_values(array_map(
            static fn (PlaceInUnit $one): int => $one->place,
            array_filter([$home, $below, $far, $part, $sibling, $twin, $other], $of->isBeside(...)),
        ));
        self::assertSame([2, 4, 5], $beside($home));
        self::assertSame([1, 5], $beside($part), 'its drawer, and what lies in that beside it');
        self::assertSame([], $beside($far));
        self::assertSame([true, false, false, false], [
            $home->mirrors($twin), $home->mirrors($other), $home->mirrors($below), $home->mirrors(new PlaceInUnit(8, 11, null, null, '2', 'chest')),
        ]);
    }
}
