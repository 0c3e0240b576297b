<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Moving;

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
use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;
use Lottel\Core\Upkeep\Moving\Assignment;
use Lottel\Core\Upkeep\Moving\BetterStanding;
use Lottel\Core\Upkeep\Moving\BoxLimits;
use Lottel\Core\Upkeep\Moving\MovingBox;
use Lottel\Core\Upkeep\Moving\PackBoxes;
use Lottel\Core\Upkeep\Moving\PackedThing;
use Lottel\Core\Upkeep\Moving\PlaceGroup;
use Lottel\Core\Upkeep\Moving\Refilled;
use Lottel\Core\Upkeep\Moving\ReplaceUnit;
use Lottel\Core\Upkeep\Moving\StandingSwap;
use Lottel\Core\Upkeep\Moving\StandingUnit;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A house move into boxes, a unit that is replaced, furniture that changes places. */
final class MovingTest extends TestCase
{
    private static int $number = 0;

    /** A box of 40 × 30 × 30 cm takes seven tenths of its 36 litres. */
    private static function limits(int $mostGrams = 12_000): BoxLimits
    {
        return new BoxLimits(Box::ofMillimetres(400, 300, 300), $mostGrams);
    }

    private static function thing(int $place, float $litres, float $grams = 500, float $uses = 0, bool $isApart = false, int $longest = 100): PackedThing
    {
        return new PackedThing(++self::$number, $place, new Contents($litres, 0, $grams), Box::ofMillimetres($longest, 50, 50), $uses, $isApart);
    }

    public function testWhatLiesInOnePlaceTravelsInOneBox(): void
    {
        self::assertEqualsWithDelta(25.2, self::limits()->litres(), 1e-9);
        $plan = (new PackBoxes(self::limits()))->pack([
            [[self::thing(1, 10), self::thing(1, 5)], [self::thing(2, 12)], [self::thing(3, 8)]],
            [[self::thing(4, 2)]],
        ]);
        self::assertSame([[1, 3], [2, 4]], array_map(static fn (MovingBox $box): array => $box->places(), $plan->boxes));
        self::assertSame(2, $plan->leastBoxes());
        self::assertSame([], $plan->byHand);
        self::assertSame([], (new PackBoxes(self::limits()))->pack([])->boxes);
    }

    public function testAFullPlaceTakesSeveralBoxesAndWhatIsTooLargeNone(): void
    {
        $books = array_map(static fn (int $n): PackedThing => self::thing(1, 2, 5000), range(1, 5));
        [$long, $heavy] = [self::thing(1, 1, 500, longest: 450), self::thing(2, 1, 20_000)];
        $plan = (new PackBoxes(self::limits()))->pack([[[...$books, $long], [$heavy]]]);
        self::assertSame([2, 2, 1], array_map(static fn (MovingBox $box): int => \count($box->things), $plan->boxes), 'by weight');
        self::assertSame([$long, $heavy], $plan->byHand);
        self::assertSame(3, $plan->leastBoxes());
    }

    public function testSolventsTravelApart(): void
    {
        $plan = (new PackBoxes(self::limits()))->pack([[[self::thing(1, 1), self::thing(1, 1, isApart: true)]], [[self::thing(2, 1, isApart: true)]]]);
        self::assertSame([[1], [1, 2]], array_map(static fn (MovingBox $box): array => $box->places(), $plan->boxes));
        self::assertSame([false, true], array_map(static fn (MovingBox $box): bool => $box->isApart(), $plan->boxes));
    }

    public function testWhatIsFetchedMostOftenIsUnpackedFirst(): void
    {
        $plan = (new PackBoxes(self::limits()))->pack([
            [[self::thing(1, 20, uses: 1)]],
            [[self::thing(2, 20, uses: 8)]],
            [[self::thing(3, 20, uses: 1)]],
        ]);
        self::assertSame([2, 1, 3], $plan->unpackingOrder());
    }

    public function testNoBoxIsEverTooFullOrTooHeavyAndNothingIsForgotten(): void
    {
        $random = new Randomizer(new Mt19937(14));
        for ($i = 0; $i < 200; ++$i) {
            $limits = new BoxLimits(Box::ofMillimetres($random->getInt(200, 500), 300, 300), $random->getInt(4000, 15_000));
            $units = self::units($random);
            $plan = (new PackBoxes($limits))->pack($units);
            $packed = array_merge([], ...array_map(static fn (MovingBox $box): array => $box->things, $plan->boxes));
            $ids = self::items(...);
            self::assertEqualsCanonicalizing($ids(array_merge([], ...array_merge([], ...$units))), $ids([...$packed, ...$plan->byHand]), 'each once');
            foreach ($plan->boxes as $box) {
                self::assertTrue($limits->hold($box->contents()));
                self::assertCount(1, array_unique(array_map(static fn (PackedThing $thing): bool => $thing->isApart, $box->things)));
            }
            foreach (array_merge([], ...$units) as $things) {
                $here = array_filter($things, static fn (PackedThing $thing): bool => !$thing->isApart && $limits->take($thing));
                $boxes = array_filter(
                    $plan->boxes,
                    static fn (MovingBox $box): bool => !$box->isApart() && [] !== array_intersect($ids(array_values($here)), $ids($box->things)),
                );
                if ($limits->hold(MovingBox::sum(array_values($here)))) {
                    self::assertLessThanOrEqual(1, \count($boxes), 'what fits one box is in one box');
                }
            }
            self::assertGreaterThanOrEqual($plan->leastBoxes(), \count($plan->boxes));
            self::assertEqualsCanonicalizing(0 === \count($plan->boxes) ? [] : range(1, \count($plan->boxes)), $plan->unpackingOrder());
        }
    }

    /** Held against trying every way. */
    public function testTheCheapestAssignmentIsFound(): void
    {
        $random = new Randomizer(new Mt19937(1955));
        for ($i = 0; $i < 300; ++$i) {
            [$rows, $columns] = [$random->getInt(1, 5), $random->getInt(1, 5)];
            $costs = array_map(static fn (int $r): array => array_map(
                static fn (int $c): ?float => 1 === $random->getInt(1, 4) ? null : (float) $random->getInt(0, 20),
                range(1, $columns),
            ), range(1, $rows));
            $chosen = Assignment::cheapest($costs);
            $taken = array_filter($chosen, static fn (?int $column): bool => null !== $column);
            self::assertSame($taken, array_unique($taken), 'no column twice');
            [$most, $least] = self::best($costs, 0, []);
            self::assertSame($most, \count($taken));
            $cost = array_sum(array_map(static fn (int $row, int $column): ?float => $costs[$row][$column], array_keys($taken), $taken));
            self::assertEqualsWithDelta($least, $cost, 1e-9);
        }
        self::assertSame([], Assignment::cheapest([]));
        self::assertSame([null, null], Assignment::cheapest([[], []]));
    }

    public function testAUnitsContentsGoWhereTheyCostLeastAndASeriesKeepsItsOrder(): void
    {
        $old = array_map(static fn (int $n): HomePlace => self::place($n, 4000, 10, 'stamp set'), [1, 2, 3]);
        $groups = [self::group($old[0], 2), self::group($old[1], 9), self::group($old[2], 1)];
        $new = array_map(static fn (int $n): HomePlace => self::place($n, 500 * $n, 10), [11, 12, 13]);
        self::assertSame(['P11', 'P12', 'P13'], self::where((new ReplaceUnit())->plan($groups, $new)), 'A–G stays before H–K');
        $mixed = [self::group(self::place(1, 4000, 10, 'die'), 2), self::group(self::place(2, 4000, 10, 'stamp set'), 9)];
        self::assertSame(['P12', 'P11'], self::where((new ReplaceUnit())->plan($mixed, $new)), 'what is no series goes by use');
        [$before, $after] = ReplaceUnit::cost((new ReplaceUnit())->plan($mixed, $new));
        self::assertGreaterThan($before, $after, 'the new unit stands farther off');
    }

    public function testAPlaceThatSaysWhatBelongsThereTakesNothingElse(): void
    {
        $tools = self::group(self::place(1, 4000, 10), 2);
        self::assertSame([null], self::where((new ReplaceUnit())->plan([$tools], [self::place(11, 500, 10, 'ink')])));
        self::assertSame(['P12'], self::where((new ReplaceUnit())->plan([$tools], [self::place(11, 500, 10, 'ink'), self::place(12, 900, 10, 'tool')])));
    }

    public function testWhatNoPlaceTakesStays(): void
    {
        $groups = [self::group(self::place(1, 4000, 20), 2, 8), self::group(self::place(2, 4000, 20), 1, 3), self::group(self::place(3, 4000, 20), 1, 3)];
        $small = self::place(11, 500, 5);
        $large = self::place(12, 500, 15);
        self::assertSame(['P12', 'P11', null], self::where((new ReplaceUnit())->plan($groups, [$small, $large])));
        self::assertSame([null, null, null], self::where((new ReplaceUnit())->plan($groups, [])));
        $blades = self::group(self::place(4, 4000, 20, height: 1700), 1, 3, [Hazard::Blade]);
        self::assertSame([null], self::where((new ReplaceUnit())->plan([$blades], [$large])), 'not down to the children');
    }

    public function testFurnitureOfOneSizeChangesPlacesWhereThatSavesSteps(): void
    {
        $inks = new StandingUnit(1, 'L', 400, 350, 60, 12.0);
        $finished = new StandingUnit(2, 'M', 420, 340, 3, 4.0);
        $wide = new StandingUnit(3, 'A', 1200, 400, 1, 2.0);
        [$swap] = BetterStanding::swaps([$finished, $inks, $wide], 3);
        self::assertSame(['L', 'M'], [$swap->nearer->letters, $swap->farther->letters]);
        self::assertEqualsWithDelta(57 * 8.0, $swap->saves(), 1e-9);
        self::assertCount(1, BetterStanding::swaps([$finished, $inks, $wide], 3), 'the wide one fits in neither’s place');
        self::assertSame([], BetterStanding::swaps([new StandingUnit(1, 'L', 400, 350, 60, 4.0), new StandingUnit(2, 'M', 400, 350, 3, 12.0)], 3));
    }

    public function testASwapSavesWhatItSays(): void
    {
        $random = new Randomizer(new Mt19937(3));
        for ($i = 0; $i < 100; ++$i) {
            $unit = static fn (int $n): StandingUnit => new StandingUnit($n, 'U'.$n, 400, 300, $random->getInt(0, 40), $random->getInt(1, 20));
            $units = array_map($unit, range(1, 7));
            $swaps = BetterStanding::swaps($units, 3);
            $walk = array_column($units, 'walk', 'id');
            $before = self::walked($units, $walk);
            foreach ($swaps as $swap) {
                [$walk[$swap->nearer->id], $walk[$swap->farther->id]] = [$swap->farther->walk, $swap->nearer->walk];
            }
            $saves = array_sum(array_map(static fn (StandingSwap $swap): float => $swap->saves(), $swaps));
            self::assertEqualsWithDelta($before - $saves, self::walked($units, $walk), 1e-9, 'all of them together, too');
        }
    }

    /**
     * @param list<StandingUnit> $units
     * @param array<int, float> $walk seconds by unit
     */
    private static function walked(array $units, array $walk): float
    {
        return array_sum(array_map(static fn (StandingUnit $unit): float => $unit->uses * $walk[$unit->id], $units));
    }

    /** @return list<list<list<PackedThing>>> things by place and unit */
    private static function units(Randomizer $random): array
    {
        $place = 0;
        $units = [];
        for ($unit = $random->getInt(1, 4); $unit > 0; --$unit) {
            $places = [];
            for ($n = $random->getInt(1, 6); $n > 0; --$n) {
                ++$place;
                $things = [];
                for ($t = $random->getInt(1, 9); $t > 0; --$t) {
                    $litres = $random->getInt(1, 60) / 10;
                    $isApart = 1 === $random->getInt(1, 8);
                    $things[] = self::thing($place, $litres, $random->getInt(10, 4000), $random->getInt(0, 9), $isApart, $random->getInt(50, 480));
                }
                $places[] = $things;
            }
            $units[] = $places;
        }

        return $units;
    }

    /**
     * @param list<PackedThing> $things
     *
     * @return list<int>
     */
    private static function items(array $things): array
    {
        return array_map(static fn (PackedThing $thing): int => $thing->item, $things);
    }

    /**
     * @param list<list<float|null>> $costs
     * @param list<int> $used
     *
     * @return array{int, float} as many as can be, and what that costs at the least
     */
    private static function best(array $costs, int $row, array $used): array
    {
        if (!isset($costs[$row])) {
            return [0, 0.0];
        }
        $best = self::best($costs, $row + 1, $used);
        foreach ($costs[$row] as $column => $cost) {
            if (null !== $cost && !\in_array($column, $used, true)) {
                [$many, $sum] = self::best($costs, $row + 1, [...$used, $column]);
                $best = [-$many - 1, $sum + $cost] < [-$best[0], $best[1]] ? [$many + 1, $sum + $cost] : $best;
            }
        }

        return $best;
    }

    private static function place(int $id, float $walk, float $litres, string $kind = '', int $height = 900): HomePlace
    {
        $inside = Box::ofMillimetres(100, (int) round($litres * 100 / 0.7), 100);

        return new HomePlace(
            $id,
            'P'.$id,
            (new Reach())->to($walk, $height, Access::Drawer),
            new Belonging(Kind::tryFrom($kind)),
            FilingScheme::parse('name'),
            $inside,
            new Capacity($inside, false, null, 0.0, $height),
            new Contents(0, 0, 0),
            heightMm: $height,
        );
    }

    /** @param list<Hazard> $hazards */
    private static function group(HomePlace $from, float $uses, float $litres = 5, array $hazards = []): PlaceGroup
    {
        $thing = new Thing(++self::$number, 'thing', '', Kind::Tool);

        return new PlaceGroup($from, new Household([$thing], $from->id, $uses, new Contents($litres, 0, 100), [Box::ofMillimetres(50, 50, 50)], $hazards));
    }

    /**
     * @param list<Refilled> $plan
     *
     * @return list<string|null>
     */
    private static function where(array $plan): array
    {
        return array_map(static fn (Refilled $one): ?string => $one->to?->address, $plan);
    }
}
