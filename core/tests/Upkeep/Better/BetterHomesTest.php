<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Better;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\Access;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Belonging;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\Reach;
use Lottel\Core\Upkeep\BestMoves;
use Lottel\Core\Upkeep\Better\BetterHome;
use Lottel\Core\Upkeep\Better\BetterHomes;
use Lottel\Core\Upkeep\Better\Exchange;
use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\HomesPlan;
use Lottel\Core\Upkeep\Better\Household;
use Lottel\Core\Upkeep\Better\MayLive;
use Lottel\Core\Upkeep\Better\Pockets;
use Lottel\Core\Upkeep\Better\Series;
use PHPUnit\Framework\TestCase;

final class BetterHomesTest extends TestCase
{
    private static int $number = 0;

    private static function place(
        int $id,
        float $walk,
        ?Belonging $says = null,
        float $litres = 10,
        ?int $mostGrams = null,
        int $height = 900,
        string $scheme = 'name',
    ): HomePlace {
        $inside = Box::ofMillimetres(100, (int) round($litres * 100), 100);

        return new HomePlace(
            $id,
            'P'.$id,
            (new Reach())->to($walk, $height, Access::Drawer),
            $says ?? new Belonging(),
            FilingScheme::parse($scheme),
            $inside,
            new Capacity($inside, false, $mostGrams, 0.2, $height),
            new Contents(0, 0, 0),
            heightMm: $height,
            unit: $id,
        );
    }

    /** @param list<Hazard> $hazards */
    private static function thing(int $home, float $uses, float $litres = 1, ?Thing $thing = null, array $hazards = [], float $grams = 100): Household
    {
        $thing ??= new Thing(++self::$number, 'thing '.self::$number, '', Kind::Tool);

        return new Household([$thing], $home, $uses, new Contents($litres, 0, $grams), [Box::ofMillimetres(100, 50, 100)], $hazards);
    }

    /**
     * @param list<Household> $households
     * @param list<HomePlace> $places
     *
     * @return array<int, HomePlace> the places with what lives in them
     */
    private static function filled(array $households, array $places): array
    {
        $filled = [];
        foreach ($places as $place) {
            $contents = $place->contents;
            foreach ($households as $household) {
                $contents = $household->home === $place->id ? $contents->plus($household->contents) : $contents;
            }
            $filled[$place->id] = $place->holding($contents);
        }

        return $filled;
    }

    /**
     * @param list<Household> $households
     * @param list<HomePlace> $places
     */
    private static function plan(array $households, array $places, int $most = 10): HomesPlan
    {
        return (new BetterHomes(new BestMoves(200_000)))->of($households, self::filled($households, $places), $most);
    }

    /** @return list<string> */
    private static function said(HomesPlan $plan): array
    {
        return array_map(
            static fn (BetterHome $move): string => $move->household->things[0]->name.' '.$move->from->address.'-'.$move->to->address,
            $plan->moves(),
        );
    }

    public function testWhatIsUsedOftenComesNearerAndWhatIsNotMakesRoom(): void
    {
        $often = self::thing(2, 20, 5, new Thing(1, 'Foam squares'));
        $seldom = self::thing(1, 0.5, 5, new Thing(2, 'Glue gun'));
        $plan = self::plan([$often, $seldom], [self::place(1, 300), self::place(2, 5000)]);
        self::assertSame(['Foam squares P2-P1', 'Glue gun P1-P2'], self::said($plan));
        self::assertCount(1, $plan->exchanges, 'a swap: one does not go without the other');
        $seconds = static fn (int $mm): float => (new Reach())->to($mm, 900, Access::Drawer)->total();
        self::assertEqualsWithDelta(19.5 * ($seconds(5000) - $seconds(300)), $plan->saves(), 1e-9);
        self::assertEqualsWithDelta(20 * $seconds(5000) + 0.5 * $seconds(300), $plan->before->total(), 1e-9);
        [$first, $second] = $plan->moves();
        self::assertSame(['fetched 20 times a month', 'a shorter way'], $first->reasons);
        self::assertSame(['makes room; fetched only less than once a month'], $second->reasons);
        self::assertLessThan(52, $plan->exchanges[0]->weeks());
    }

    public function testWithoutALogOrWithOneThingNothingMoves(): void
    {
        self::assertSame([], self::plan([], [])->exchanges);
        self::assertSame([], self::plan([self::thing(2, 0)], [self::place(1, 300), self::place(2, 5000)])->exchanges);
        self::assertSame([], self::plan([self::thing(1, 9)], [self::place(1, 300)])->exchanges);
        self::assertSame([], self::plan([self::thing(2, 9)], [self::place(1, 300), self::place(2, 5000)], 0)->exchanges);
        self::assertSame(0.0, self::plan([self::thing(2, 0)], [self::place(2, 5000)])->before->total());
    }

    public function testAMoveThatDoesNotPayBackWithinAYearIsNotProposed(): void
    {
        $plan = self::plan([self::thing(2, 0.3)], [self::place(1, 300), self::place(2, 5000)]);
        self::assertSame([], $plan->exchanges);
    }

    public function testASeriesStaysTogether(): void
    {
        $set = new Thing(1, 'Lantern room', 'Oddling', Kind::StampSet, ['sea']);
        $household = self::thing(9, 10, 1, $set);
        $rules = new MayLive();
        $why = static fn (Belonging $here, Belonging $there): ?string => $rules->why(
            $household,
            self::place(9, 4000, $here),
            self::place(1, 300, $there),
        );
        $byMaker = new Belonging(Kind::StampSet, 'Oddling');
        self::assertNull($why($byMaker, $byMaker));
        self::assertSame('its series is by Oddling', $why($byMaker, new Belonging()));
        self::assertSame('its series is by Oddling', $why($byMaker, new Belonging(Kind::StampSet)));
        self::assertNull($why(new Belonging(Kind::StampSet), new Belonging()), 'by kind alone it is no series');
        self::assertSame('stamp set, not die', $why(new Belonging(), new Belonging(Kind::Die)));
        self::assertNull($why(new Belonging(Kind::StampSet, 'Farthing Ferry'), new Belonging()), 'where it does not belong, nothing holds it');
        self::assertSame('its series is sea', $why(new Belonging(theme: 'sea'), new Belonging(Kind::StampSet)));
        self::assertNull($why(new Belonging(theme: 'sea'), new Belonging(theme: 'sea')));
        $plain = self::thing(9, 10, 1, new Thing(2, 'Foam squares'));
        self::assertSame('kept for sea', $rules->why($plain, self::place(9, 4000), self::place(1, 300, new Belonging(theme: 'sea'))));
    }

    public function testPlacesThatGoOnFromOneToTheNextAreOneSeries(): void
    {
        $stamps = new Belonging(Kind::StampSet);
        $named = static fn (int $home, string ...$names): array => array_map(
            static fn (string $name): Household => self::thing($home, 12, 0.2, new Thing(crc32($name), $name, '', Kind::StampSet)),
            array_values($names),
        );
        $inOrder = [...$named(1, 'Anchor', 'Buoy', 'Crab'), ...$named(2, 'Heron', 'Island', 'Kelp'), ...$named(3, 'Tern', 'Urchin', 'Wave')];
        $places = [self::place(1, 300, $stamps), self::place(2, 3000, $stamps), self::place(3, 6000, $stamps)];
        self::assertSame([], self::plan($inOrder, $places)->moves(), 'nothing leaves its letter');
        $mixed = [...$named(1, 'Anchor', 'Buoy', 'Crab'), ...$named(2, 'Heron', 'Bell', 'Kelp'), ...$named(3, 'Tern', 'Cod', 'Wave')];
        self::assertNotSame([], self::plan($mixed, $places)->moves(), 'no order that moving would break');
        self::assertTrue(Series::of($inOrder, self::filled($inOrder, $places))->holds(2));
        self::assertFalse(Series::of($mixed, self::filled($mixed, $places))->holds(2));
    }

    public function testADrawerOfBluesTakesNoWhite(): void
    {
        $paper = static fn (int $home, string $name, ?string $colour, float $uses = 0): Household => self::thing(
            $home,
            $uses,
            0.2,
            new Thing(crc32($name), $name, '', Kind::Paper, colour: $colour),
        );
        $blues = [$paper(1, 'Petrel', '#1f4c6b'), $paper(1, 'Squall', '#24507a'), $paper(1, 'Deep Channel', '#123a66')];
        $byColour = static fn (int $id, float $walk): HomePlace => self::place($id, $walk, scheme: 'colour,name');
        $places = [$byColour(1, 300), self::place(2, 6000)];
        self::assertSame([], self::plan([...$blues, $paper(2, 'White', '#ffffff', 9)], $places)->moves());
        self::assertCount(1, self::plan([...$blues, $paper(2, 'Storm', '#20486e', 9)], $places)->moves());
        self::assertCount(1, self::plan([...\array_slice($blues, 1), $paper(2, 'White', '#ffffff', 9)], $places)->moves(), 'of two nobody can tell');
    }

    public function testAPlaceThatSaysNothingTakesTheKindsThatLiveInIt(): void
    {
        $lamp = self::thing(1, 0, 0.2, new Thing(1, 'Folding lamp', '', Kind::Tool));
        $places = [self::place(1, 300), self::place(2, 6000)];
        self::assertSame([], self::plan([$lamp, self::thing(2, 9, thing: new Thing(2, 'Glue', '', Kind::Adhesive))], $places)->moves());
        self::assertCount(1, self::plan([$lamp, self::thing(2, 9, thing: new Thing(2, 'Awl', '', Kind::Tool))], $places)->moves());
        self::assertCount(1, self::plan([self::thing(2, 9, thing: new Thing(2, 'Glue', '', Kind::Adhesive))], $places)->moves(), 'empty');
    }

    public function testNothingGoesWhereItIsADangerOrTooMuch(): void
    {
        $rules = new MayLive();
        $low = self::place(1, 300, height: 600);
        $high = self::place(2, 300, height: 1700);
        $knife = self::thing(9, 10, hazards: [Hazard::Blade]);
        self::assertSame('within children’s reach', $rules->why($knife, self::place(9, 4000, height: 1600), $low));
        self::assertNull($rules->why($knife, self::place(9, 4000, height: 800), $low), 'no worse than now');
        $machine = self::thing(9, 10, hazards: [Hazard::Heavy], grams: 3000);
        self::assertSame('heavy, and too high', $rules->why($machine, self::place(9, 4000, height: 800), $high));
        self::assertNull($rules->why($machine, self::place(9, 4000, height: 1900), $high), 'lower than now');
        $weak = self::place(1, 300, mostGrams: 250);
        self::assertSame('too heavy for it', $rules->why(self::thing(9, 10, grams: 300), self::place(9, 4000), $weak));
        $large = new Household([new Thing(1, 'Board')], 9, 1, new Contents(1, 0, 1), [Box::ofMillimetres(900, 2, 900)], []);
        self::assertSame('too large for it', $rules->why($large, self::place(9, 4000), $low));
        $basket = new HomePlace(3, 'N', $low->reach, new Belonging(), $low->scheme, $low->inside, $low->capacity, new Contents(0, 0, 0), takesIn: false);
        self::assertSame('not measured, or for new things only', $rules->why($knife, self::place(9, 4000), $basket));
        $spring = new HomePlace(4, 'S', $low->reach, new Belonging(), $low->scheme, $low->inside, $low->capacity, new Contents(0, 0, 0), 'spring');
        self::assertSame('kept for spring', $rules->why(self::thing(9, 1), self::place(9, 4000), $spring));
        $bulb = self::thing(4, 1, thing: new Thing(1, 'Bulbs', season: 'spring'));
        self::assertSame('its place is kept for spring', $rules->why($bulb, $spring, $low));
    }

    public function testNoPlaceIsOverloadedByWhatComesTogether(): void
    {
        $households = [self::thing(2, 20, 1, grams: 200), self::thing(2, 10, 1, grams: 200)];
        $plan = self::plan($households, [self::place(1, 300, mostGrams: 300), self::place(2, 5000)]);
        self::assertCount(1, $plan->moves());
        self::assertSame(20.0, $plan->moves()[0]->household->uses, 'the one used more often');
    }

    public function testAPlanKeepsEveryRuleAndEachExchangeStandsAlone(): void
    {
        mt_srand(1414);
        $moves = $swaps = 0;
        for ($round = 0; $round < 60; ++$round) {
            [$households, $places] = self::seeded();
            $most = mt_rand(0, 9);
            $plan = (new BetterHomes(new BestMoves(60_000)))->of($households, $places, $most);
            self::assertLessThanOrEqual($most, \count($plan->moves()));
            $this->assertHolds($plan->moves(), $households, $places, "round {$round}");
            self::assertEqualsWithDelta(self::cost([], $households, $places), $plan->before->total(), 1e-6);
            $after = self::cost($plan->moves(), $households, $places);
            self::assertEqualsWithDelta($plan->before->total() - $plan->saves(), $after, 1e-6, 'carrying it out gives what it promised');
            foreach ($plan->exchanges as $exchange) {
                $this->assertHolds($exchange->moves, $households, $places, "round {$round}, alone");
                self::assertLessThanOrEqual(52.0, $exchange->weeks());
                $swaps += (int) (\count($exchange->moves) > 1);
            }
            $saves = array_map(static fn (Exchange $exchange): float => $exchange->saves(), $plan->exchanges);
            $sorted = $saves;
            rsort($sorted);
            self::assertSame($sorted, $saves, 'best first');
            $moves += \count($plan->moves());
        }
        self::assertGreaterThan(60, $moves);
        self::assertGreaterThan(5, $swaps, 'some need each other');
    }

    /** @return array{list<Household>, array<int, HomePlace>} */
    private static function seeded(): array
    {
        $says = [new Belonging(), new Belonging(), new Belonging(Kind::StampSet), new Belonging(Kind::StampSet, 'Oddling'), new Belonging(theme: 'sea')];
        $places = $households = [];
        for ($id = 1; $id <= 8; ++$id) {
            $places[] = self::place(
                $id,
                mt_rand(200, 6000),
                $says[mt_rand(0, 4)],
                mt_rand(10, 40) / 10,
                0 === mt_rand(0, 2) ? mt_rand(500, 1500) : null,
                mt_rand(100, 2000),
            );
        }
        for ($i = 0; $i < 24; ++$i) {
            $thing = new Thing($i, 'thing '.$i, ['Oddling', ''][mt_rand(0, 1)], [Kind::StampSet, Kind::Tool][mt_rand(0, 1)], [['sea'], []][mt_rand(0, 1)]);
            $households[] = self::thing(
                mt_rand(1, 8),
                mt_rand(0, 300) / 10,
                mt_rand(1, 9) / 10,
                $thing,
                [[], [], [Hazard::Blade], [Hazard::Heavy]][mt_rand(0, 3)],
                mt_rand(50, 400),
            );
        }

        return [$households, self::filled($households, $places)];
    }

    /**
     * @param list<BetterHome> $moves
     * @param list<Household> $households
     * @param array<int, HomePlace> $places
     */
    private static function cost(array $moves, array $households, array $places): float
    {
        $cost = 0.0;
        foreach ($households as $household) {
            $at = $household->home;
            foreach ($moves as $move) {
                $at = $move->household === $household ? $move->to->id : $at;
            }
            $cost += $household->uses * $places[$at]->reach->total();
        }

        return $cost;
    }

    /**
     * @param list<BetterHome> $moves
     * @param list<Household> $households
     * @param array<int, HomePlace> $places
     */
    private function assertHolds(array $moves, array $households, array $places, string $message): void
    {
        foreach ($moves as $move) {
            self::assertContains($move->household, $households);
            self::assertNull((new MayLive())->why($move->household, $move->from, $move->to), $message);
        }
        foreach (array_unique(array_map(static fn (BetterHome $move): int => $move->to->id, $moves)) as $id) {
            $contents = $places[$id]->contents;
            foreach ($moves as $move) {
                $contents = match ($id) {
                    $move->to->id => $contents->plus($move->household->contents),
                    $move->from->id => $contents->plus($move->household->contents->times(-1)),
                    default => $contents,
                };
            }
            self::assertLessThanOrEqual(($places[$id]->capacity?->litres() ?? 0.0) + 0.03, $contents->litres, $message);
            self::assertTrue($places[$id]->capacity?->carries($contents), $message);
        }
    }

    public function testWhatSharesAPocketWithOneSharesItWithAllThatDo(): void
    {
        self::assertSame([[1], [2], [3]], Pockets::of([1, 2, 3], []));
        self::assertSame([[1, 2, 3], [4]], Pockets::of([1, 2, 3, 4], [[1, 3], [2, 3]]), 'two by way of a third');
        self::assertSame([[4, 1], [2]], Pockets::of([4, 2, 1], [[1, 4], [2, 9]]), 'in their order; what is not among them does not matter');
        mt_srand(33);
        for ($round = 0; $round < 100; ++$round) {
            $pairs = array_map(static fn (): array => [mt_rand(1, 12), mt_rand(1, 12)], range(1, 8));
            $pockets = Pockets::of(range(1, 12), $pairs);
            self::assertEqualsCanonicalizing(range(1, 12), array_merge(...$pockets));
            foreach ($pairs as [$one, $other]) {
                self::assertCount(1, array_filter($pockets, static fn (array $pocket): bool => [] !== array_intersect([$one, $other], $pocket)));
            }
        }
    }
}
