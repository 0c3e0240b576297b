<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Seasons;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
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
use Lottel\Core\Upkeep\Seasons\BringForward;
use Lottel\Core\Upkeep\Seasons\LivesBySeason;
use Lottel\Core\Upkeep\Seasons\Seasonal;
use Lottel\Core\Upkeep\Seasons\SeasonCalendar;
use Lottel\Core\Upkeep\Seasons\SeasonDate;
use Lottel\Core\Upkeep\Seasons\SeasonTurn;
use Lottel\Core\Year\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class SeasonsTest extends TestCase
{
    /** @return iterable<string, array{string, bool, bool}> */
    public static function days(): iterable
    {
        yield 'before' => ['2026-10-31', false, true];
        yield 'a month before winter' => ['2026-11-01', true, false];
        yield 'in it' => ['2027-01-31', true, false];
        yield 'its last month' => ['2027-02-10', false, false];
        yield 'its last day' => ['2027-02-28', false, false];
        yield 'after it' => ['2027-03-01', false, true];
    }

    #[DataProvider('days')]
    public function testASeasonIsAtHandFromAMonthBeforeUntilItEnds(string $day, bool $comes, bool $isOver): void
    {
        $calendar = new SeasonCalendar(self::day($day), []);
        self::assertSame($comes ? 'winter comes' : null, $calendar->why(Season::Winter, []));
        self::assertSame($isOver, $calendar->isOver(Season::Winter, []));
    }

    public function testSouthOfTheEquatorTheSeasonsAreTheOthers(): void
    {
        foreach (['Europe/Lisbon' => 'winter comes', 'Australia/Hobart' => null, 'UTC' => 'winter comes', '+02:00' => 'winter comes'] as $zone => $why) {
            self::assertSame($why, (new SeasonCalendar(self::day('2026-12-10'), [], new \DateTimeZone($zone)))->why(Season::Winter, []), $zone);
        }
        $hobart = new SeasonCalendar(self::day('2027-05-10'), [], new \DateTimeZone('Australia/Hobart'));
        self::assertSame([Season::Winter, '2027-08-01'], [$hobart->season(), $hobart->nextChange()->text()]);
        self::assertFalse($hobart->isOver(Season::Autumn, []), 'autumn lasts until the end of May there');
    }

    public function testNoDayAsksForTheSameThingToComeAndToGo(): void
    {
        for ($day = self::day('2027-01-01'); 2027 === $day->year(); $day = $day->plus(1)) {
            $calendar = new SeasonCalendar($day, []);
            foreach (Season::cases() as $season) {
                self::assertFalse(null !== $calendar->why($season, []) && $calendar->isOver($season, []), $day->text().$season->value);
            }
            self::assertNotSame($calendar->season(), (new SeasonCalendar($calendar->nextChange(), []))->season());
        }
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function dates(): iterable
    {
        yield 'long before' => ['2026-12-18', null];
        yield 'thirty days before' => ['2026-12-19', 'Midwinter on 18 January'];
        yield 'on the day' => ['2027-01-18', 'Midwinter is now'];
        yield 'on its last day' => ['2027-02-10', 'Midwinter is now'];
        yield 'the day after' => ['2027-02-11', null];
    }

    #[DataProvider('dates')]
    public function testADateBringsWhatSpeaksOfIt(string $day, ?string $why): void
    {
        $dates = [new SeasonDate('Midwinter', self::day('2027-01-18'), self::day('2027-02-10'))];
        $calendar = new SeasonCalendar(self::day($day), $dates);
        self::assertSame($why, $calendar->why(null, ['frost', 'midwinter']));
        self::assertSame(null === $why, $calendar->isOver(null, ['Midwinters']), 'a theme may be said of many');
        self::assertNull($calendar->why(null, ['harvest supper', '']));
    }

    public function testWhatLivesTogetherComesToOnePlace(): void
    {
        $box = self::place(9, 5000, 20);
        [$near, $far] = [self::place(1, 300, 3), self::place(2, 900, 6)];
        $things = array_map(static fn (int $n): Seasonal => self::thing($n, $box, 1.5), [1, 2, 3]);
        self::assertSame(['P2', 'P2', 'P2'], self::where((new BringForward())->plan($things, [$near, $far])), 'the nearer one has room for two only');
        $things[] = self::thing(4, $box, 1.5);
        self::assertSame(['P1', 'P1', 'P2', 'P2'], self::where((new BringForward())->plan($things, [$near, $far])), 'else each where it fits');
        self::assertSame([null, null, null, null], self::where((new BringForward())->plan($things, [])), 'without a place nothing goes');
        self::assertSame([], (new BringForward())->plan([], [$near]));
    }

    public function testTheRulesOfThePlaceAreKept(): void
    {
        $box = self::place(9, 5000, 20, heightMm: 1600);
        $blade = self::thing(1, $box, 0.5, hazards: [Hazard::Blade]);
        self::assertSame([null], self::where((new BringForward())->plan([$blade], [self::place(1, 300, 5)])), 'within children’s reach');
        $heavy = self::thing(2, $box, 0.5, grams: 3000);
        self::assertSame([null], self::where((new BringForward())->plan([$heavy], [self::place(1, 300, 5, mostGrams: 2000)])), 'too heavy for the runners');
        self::assertSame(['P1'], self::where((new BringForward())->plan([$heavy], [self::place(1, 300, 5, mostGrams: 4000)])));
        $long = self::thing(3, $box, 0.5, side: 600);
        self::assertSame([null], self::where((new BringForward())->plan([$long], [self::place(1, 300, 5)])), 'too large');
    }

    public function testNoPlaceIsFilledBeyondItsRoom(): void
    {
        $random = new Randomizer(new Mt19937(27));
        for ($i = 0; $i < 150; ++$i) {
            $homes = [self::place(8, 5000, 100), self::place(9, 6000, 100)];
            $fronts = array_map(
                static fn (int $n): HomePlace => self::place($n, $random->getInt(100, 3000), $random->getInt(1, 12), $random->getInt(300, 4000)),
                range(1, $random->getInt(1, 3)),
            );
            $things = array_map(
                static fn (int $n): Seasonal => self::thing($n, $homes[$n % 2], $random->getInt(1, 40) / 10, grams: $random->getInt(10, 900)),
                range(1, $random->getInt(1, 12)),
            );
            $plan = (new BringForward())->plan($things, $fronts);
            self::assertEqualsCanonicalizing(
                array_map(static fn (Seasonal $thing): int => $thing->household->things[0]->id, $things),
                array_map(static fn (Seasonal $thing): int => $thing->household->things[0]->id, $plan),
                'each once',
            );
            foreach ($fronts as $front) {
                $here = array_filter($plan, static fn (Seasonal $thing): bool => $thing->to?->id === $front->id);
                $litres = array_sum(array_map(static fn (Seasonal $thing): float => $thing->household->contents->litres, $here));
                $grams = array_sum(array_map(static fn (Seasonal $thing): float => $thing->household->contents->grams, $here));
                self::assertLessThanOrEqual($front->room(), 1000 * $litres);
                self::assertTrue($front->capacity?->carries(new Contents($litres, 0, $grams)));
                foreach ($plan as $left) {
                    self::assertTrue(
                        null !== $left->to || 1000 * ($litres + $left->household->contents->litres) > $front->room()
                            || !$front->capacity->carries(new Contents(0, 0, $grams + $left->household->contents->grams)),
                        'nothing is left that still fits',
                    );
                }
            }
        }
    }

    private static function day(string $text): Day
    {
        return Day::read($text) ?? throw new \LogicException($text);
    }

    private static function place(int $id, float $walk, float $litres, ?int $mostGrams = null, int $heightMm = 900): HomePlace
    {
        $inside = Box::ofMillimetres(100, (int) round($litres * 100), 100);

        return new HomePlace(
            $id,
            'P'.$id,
            (new Reach())->to($walk, $heightMm, Access::Drawer),
            new Belonging(),
            FilingScheme::parse('name'),
            $inside,
            // Loosely packed things take up seven tenths of a place.
            new Capacity(Box::ofMillimetres(100, (int) round($litres * 100 / 0.7), 100), false, $mostGrams, 0.0, $heightMm),
            new Contents(0, 0, 0),
            heightMm: $heightMm,
        );
    }

    /** @param list<Hazard> $hazards */
    private static function thing(int $id, HomePlace $from, float $litres, array $hazards = [], float $grams = 100, int $side = 50): Seasonal
    {
        $thing = new Thing($id, 'thing '.$id, '', Kind::Tool);

        return new Seasonal(
            new Household([$thing], $from->id, 0, new Contents($litres, 0, $grams), [Box::ofMillimetres($side, 50, 50)], $hazards),
            $from,
            'winter comes',
        );
    }

    /**
     * @param list<Seasonal> $plan
     *
     * @return list<string|null>
     */
    private static function where(array $plan): array
    {
        return array_map(static fn (Seasonal $thing): ?string => $thing->to?->address, $plan);
    }

    public function testWhatTurnsWithTheSeasonAndWhatStays(): void
    {
        $calendar = new SeasonCalendar(self::day('2026-11-10'), [new SeasonDate('Midwinter', self::day('2026-12-01'), self::day('2026-12-02'))]);
        [$front, $deep] = [self::place(1, 300, 5), self::place(2, 5000, 20)];
        $living = self::living(...);
        $turn = SeasonTurn::of($calendar, [
            $living(1, $deep, Season::Winter, false),
            $living(2, $deep, Season::Summer, false),
            $living(3, $front, Season::Winter, true, otherwise: $deep),
            $living(4, $front, Season::Spring, true, otherwise: $deep),
            $living(5, $front, Season::Spring, true),
            $living(6, $deep, null, false, 'midwinter'),
            $living(7, $front, null, true, 'midwinter', $deep),
            $living(8, $front, null, true, 'sea', $deep),
            $living(9, $front, null, true, '', $deep),
        ]);
        self::assertSame(['1 - winter comes', '6 - Midwinter on 1 December'], self::told($turn->forward));
        self::assertSame(
            ['4 P2 its season is over', '8 P2 it is of no season, and no date of its themes is near', '9 P2 it is of no season'],
            self::told($turn->back),
        );
        self::assertSame(['5 - its season is over'], self::told($turn->homeless));
    }

    public function testTheNearestWordTellsTheSeason(): void
    {
        self::assertSame(Season::Winter, Season::firstOf('', 'winter', 'summer'));
        self::assertNull(Season::firstOf('', 'no season'));
    }

    /**
     * @param list<Seasonal> $some
     *
     * @return list<string>
     */
    private static function told(array $some): array
    {
        $told = static fn (Seasonal $one): string => \sprintf('%d %s %s', $one->household->things[0]->id, $one->to->address ?? '-', $one->why);

        return array_map($told, $some);
    }

    private static function living(int $id, HomePlace $now, ?Season $season, bool $isForward, string $theme = '', ?HomePlace $otherwise = null): LivesBySeason
    {
        $thing = new Thing($id, 'Thing', themes: '' === $theme ? [] : [$theme]);

        return new LivesBySeason(new Household([$thing], $now->id, 0.0, new Contents(1, 0, 10), [], []), $season, $now, $isForward, $otherwise);
    }
}
