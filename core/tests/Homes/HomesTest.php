<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Homes;

use Lottel\Core\Catalogue\Handling;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Access;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\Fit;
use Lottel\Core\Homes\HomeCandidate;
use Lottel\Core\Homes\HomeProposal;
use Lottel\Core\Homes\HomeRanking;
use Lottel\Core\Homes\Reach;
use PHPUnit\Framework\TestCase;

final class HomesTest extends TestCase
{
    public function testAThingFitsInSomeAllowedWay(): void
    {
        $fit = new Fit();
        $drawer = Box::ofMillimetres(360, 100, 420);
        self::assertSame('as it stands', $fit->way(Box::ofMillimetres(300, 90, 300), $drawer, new Handling()));
        self::assertSame('turned', $fit->way(Box::ofMillimetres(400, 90, 300), $drawer, new Handling()));
        self::assertSame('on its side', $fit->way(Box::ofMillimetres(90, 200, 300), $drawer, new Handling()));
        self::assertNull($fit->way(Box::ofMillimetres(90, 200, 300), $drawer, Handling::ofKind(Kind::Ink)), 'a bottle stands upright');
        self::assertNull($fit->way(Box::ofMillimetres(500, 2, 700), $drawer, new Handling()));
        self::assertSame('folded once', $fit->way(Box::ofMillimetres(600, 2, 300), $drawer, new Handling(folds: 1)));
        self::assertSame('rolled', $fit->way(Box::ofMillimetres(300, 1, 2000), $drawer, new Handling(mayRoll: true)));
        self::assertNull($fit->way(Box::ofMillimetres(500, 1, 2000), Box::ofMillimetres(100, 100, 100), new Handling(mayRoll: true)));
    }

    public function testWhatFitsStillFitsALargerPlace(): void
    {
        mt_srand(31);
        for ($i = 0; $i < 500; ++$i) {
            $side = static fn (): int => mt_rand(1, 400);
            [$thing, $place] = [Box::ofMillimetres($side(), $side(), $side()), [$side(), $side(), $side()]];
            $handling = new Handling(1 === mt_rand(0, 1), 1 === mt_rand(0, 1), mt_rand(0, 2));
            if (null !== (new Fit())->way($thing, Box::ofMillimetres(...$place), $handling)) {
                self::assertNotNull(
                    (new Fit())->way(
                        $thing,
                        Box::ofMillimetres($place[0] + mt_rand(0, 9), $place[1] + mt_rand(0, 9), $place[2] + mt_rand(0, 9)),
                        $handling,
                    ),
                );
            }
        }
    }

    public function testHowFullAndHowHeavy(): void
    {
        $drawer = new Capacity(Box::ofMillimetres(360, 100, 400), true, 8000);
        $half = new Contents(4, 200, 3000);
        self::assertEqualsWithDelta(0.5, $drawer->fullness($half), 1e-9);
        self::assertEqualsWithDelta(0.625, $drawer->fullnessWithRoom($half), 1e-9, 'a fifth is kept free');
        self::assertEqualsWithDelta(0.375, (float) $drawer->load($half), 1e-9);
        self::assertSame([], $drawer->warnings($half));
        self::assertSame(['No room left to grow.'], $drawer->warnings(new Contents(4, 340, 3000)));
        self::assertSame(
            ['Too heavy: it comes off its runners.', 'Full to bursting: weed, or give something another home.'],
            $drawer->warnings($half->plus(new Contents(4, 210, 6000))),
        );
        $top = new Capacity(Box::ofMillimetres(800, 300, 300), aboveFloorMm: 1900);
        self::assertSame(['Heavy above the shoulder: move it lower.'], $top->warnings(new Contents(10, 0, 5000)));
        self::assertNull($top->load($half));
        self::assertEqualsWithDelta(10 / (0.7 * 72), $top->fullness(new Contents(10, 0, 0)), 1e-9, 'loose things fill by volume');
    }

    public function testHomesAreRankedWithReasons(): void
    {
        $gull = new Thing(1, 'Gull dies', 'Two Bollards', Kind::Die, ['seabirds']);
        $dies = array_map(static fn (int $id): Thing => new Thing($id, 'die '.$id, 'Two Bollards', Kind::Die, ['seabirds']), range(2, 9));
        $papers = array_map(static fn (int $id): Thing => new Thing($id, 'paper', 'Marrowlight Paper', Kind::Paper), range(10, 14));
        $ranked = (new HomeRanking())->rank(
            $gull,
            [
                new HomeCandidate('H1', Kind::Paper, '', '', $papers, 0.5, 8),
                new HomeCandidate('A1', null, '', '', $papers, 0.9, 8),
                new HomeCandidate('C5', Kind::Die, '', '', $dies, 0.3, 8),
                new HomeCandidate('C5.b', Kind::Die, 'Oddling', '', [], 0.3, 8),
                new HomeCandidate('C6', Kind::Die, '', '', $dies, 0.3, 8, holdsCompanion: true),
                new HomeCandidate('C7', Kind::Die, '', '', $dies, 0.3, 8, fits: false),
                new HomeCandidate('D1', Kind::Die, '', '', $dies, -0.1, 8),
            ],
            4,
        );
        self::assertSame(
            ['C6', 'C5', 'A1', 'C5.b'],
            array_map(static fn (HomeProposal $proposal): string => $proposal->address, $ranked),
            'a tray for another maker comes last',
        );
        self::assertContains('what goes with it lives here', $ranked[0]->reasons);
        self::assertContains('things like it live here', $ranked[1]->reasons);
        self::assertContains('its label says die', $ranked[1]->reasons);
        foreach ($ranked as $proposal) {
            self::assertLessThanOrEqual(1.0, $proposal->worth);
        }
    }

    public function testReachIsLongerFartherAwayAndThroughADoor(): void
    {
        $reach = new Reach();
        $desk = $reach->to(400, 900, Access::Open)->total();
        self::assertLessThan(3, $desk, 'within arm’s reach');
        foreach (
            [
                $reach->to(4000, 900, Access::Open)->total(),
                $reach->to(400, 200, Access::Drawer)->total(),
                $reach->to(400, 900, Access::DrawerBehindDoor, 1)->total(),
                $reach->to(400, 900, Access::Open, isAway: true)->total(),
            ] as $farther
        ) {
            self::assertGreaterThan($desk, $farther);
        }
    }

    public function testWhatIsUsedOftenGoesNearAndWhatIsUsedSeldomFar(): void
    {
        $thing = new Thing(1, 'Heat tool', '', Kind::Tool);
        $places = [new HomeCandidate('E1', null, '', '', [], 0.5, 3), new HomeCandidate('K1', null, '', '', [], 0.5, 28)];
        self::assertSame('E1', (new HomeRanking())->rank($thing, $places, 12)[0]->address);
        self::assertSame('K1', (new HomeRanking())->rank($thing, $places, 0.05)[0]->address);
    }

    public function testOnlyADrawerHasRunners(): void
    {
        $heavy = new Contents(litres: 1.0, thickness: 10.0, grams: 9000.0);
        $inside = Box::ofMillimetres(360, 100, 400);
        $of = static fn (bool $hasRunners): string => (new Capacity($inside, mostGrams: 6000, hasRunners: $hasRunners))->warnings($heavy)[0];
        self::assertSame(['Too heavy: it comes off its runners.', 'Too heavy for what it hangs on or stands on.'], [$of(true), $of(false)]);
    }

    public function testAHomeIsNamedUnaskedOnlyWhereSomethingSpeaksForIt(): void
    {
        [$good, $alsoGood, $poor] = [new HomeProposal('A1', 0.3, []), new HomeProposal('A2', 0.3, []), new HomeProposal('A3', 0.29, [])];
        self::assertSame([$good, null, null], [HomeRanking::worthAGuess([$good, $poor]), HomeRanking::worthAGuess([$poor]), HomeRanking::worthAGuess([])]);
        self::assertSame(
            [$good, null, $poor, null],
            array_map(HomeRanking::clearlyBest(...), [[$good, $poor], [$good, $alsoGood], [$poor], []]),
        );
    }

    public function testRoomIsReckonedFromSomeOfTheThings(): void
    {
        $capacity = new Capacity(Box::ofMillimetres(100, 100, 1000));
        $all = 1 - $capacity->fullnessWithRoom(new Contents(3, 0, 0));
        self::assertEqualsWithDelta($all, HomeRanking::roomLeft($capacity, new Contents(1, 0, 0), 10, 30), 1e-9);
        self::assertSame(1.0, HomeRanking::roomLeft($capacity, new Contents(0, 0, 0), 0, 0));
        self::assertSame(HomeRanking::ROOM_UNKNOWN, HomeRanking::roomLeft(null, new Contents(9, 0, 0), 1, 1));
    }

    public function testOnlyWhatIsMeasuredIsKnownToBeTooLarge(): void
    {
        $fit = new Fit();
        [$large, $small] = [Box::ofMillimetres(500, 500, 500), Box::ofMillimetres(50, 50, 50)];
        self::assertSame(
            [true, false, false, false],
            [
                $fit->isTooLarge($large, $small, new Handling()), $fit->isTooLarge($small, $large, new Handling()),
                $fit->isTooLarge(null, $small, new Handling()), $fit->isTooLarge($large, null, new Handling()),
            ],
        );
    }

    public function testOfAUnitThatStandsNowhereTheWayIsEstimated(): void
    {
        $reach = new Reach();
        self::assertEquals($reach->to(2000.0, 900, Access::Drawer), $reach->to(null, 900, Access::Drawer));
        self::assertGreaterThan($reach->to(0.0, 900, Access::Drawer)->total(), $reach->to(null, 900, Access::Drawer)->total());
    }
}
