<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Workshop;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Workshop\CameBack;
use Lottel\Core\Workshop\Headcount;
use Lottel\Core\Workshop\InvalidWorkshop;
use Lottel\Core\Workshop\Load;
use Lottel\Core\Workshop\Share;
use Lottel\Core\Workshop\SharedThing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WorkshopTest extends TestCase
{
    public function testEachGetsTheirOwnAndASpareSetHasOneToo(): void
    {
        $class = new Headcount(12, 2);
        self::assertSame(14, $class->sets());
        self::assertSame('12 persons, 2 spare sets', $class->inWords());
        self::assertSame('1 person', (new Headcount(1))->inWords());
        $bases = new Share(3);
        self::assertTrue($bases->isBagged());
        self::assertSame(42, $bases->wanted($class));
        self::assertSame('3 each', $bases->inWords('3', $class));
    }

    public function testOnePunchForFourStandsOnEachTable(): void
    {
        $punch = new Share(1, 4);
        self::assertFalse($punch->isBagged());
        self::assertSame(3, $punch->wanted(new Headcount(12, 2)), 'of what is shared there is no spare set');
        self::assertSame(4, $punch->wanted(new Headcount(13)), 'a table that is not full has its own');
        self::assertSame('1 for every four', $punch->inWords('1', new Headcount(12)));
        self::assertSame('1 for all', (new Share(1, 12))->inWords('1', new Headcount(12)));
        self::assertSame(1, (new Share(1, 200))->wanted(new Headcount(12)));
    }

    public function testEveryTableIsServedAndNoneTwice(): void
    {
        mt_srand(41);
        for ($i = 0; $i < 400; ++$i) {
            $class = new Headcount(mt_rand(1, 200), mt_rand(0, 20));
            $share = new Share(mt_rand(1, 9), mt_rand(2, 200));
            $groups = intdiv($share->wanted($class), $share->each);
            self::assertSame($share->wanted($class), $groups * $share->each);
            self::assertGreaterThanOrEqual($class->persons, $groups * $share->among, 'everybody has one to share');
            self::assertLessThan($class->persons, ($groups - 1) * $share->among, 'and no table is for nobody');
        }
    }

    /** @return iterable<string, array{int, int}> */
    public static function headcounts(): iterable
    {
        yield 'nobody' => [0, 0];
        yield 'fewer than nobody' => [-3, 0];
        yield 'five thousand' => [5000, 0];
        yield 'spares below none' => [8, -1];
        yield 'too many spares' => [8, 21];
    }

    #[DataProvider('headcounts')]
    public function testAClassHasPersons(int $persons, int $spares): void
    {
        $this->expectException(InvalidWorkshop::class);
        new Headcount($persons, $spares);
    }

    public function testSharesAreOfSomethingAndAmongSomebody(): void
    {
        foreach ([[0, 1], [-1, 1], [Share::MOST + 1, 1], [1, 0], [1, 201]] as [$each, $among]) {
            try {
                new Share($each, $among);
                self::fail("$each among $among");
            } catch (InvalidWorkshop $refused) {
                self::assertSame($each < 1 || $each > Share::MOST ? 'each' : 'among', $refused->field);
            }
        }
    }

    public function testABagAndABoxHaveAWeight(): void
    {
        $things = [
            7 => new SharedThing('Card base', new Share(2), 8_500, false, 30),
            8 => new SharedThing('Gull gem', new Share(5), 60, true, 100),
            9 => new SharedThing('Corner punch', new Share(1, 4), 210_000, false, 2),
        ];
        $class = new Headcount(12, 1);
        $bag = Load::bag($things);
        self::assertSame(17_300, $bag->milligrams);
        self::assertSame(17, $bag->grams());
        self::assertSame(225, $bag->grams(13), 'thirteen bags are weighed together before they are rounded');
        self::assertSame('an estimate: of 1 thing only the usual weight is known', $bag->caveat());
        $box = Load::box($things, $class);
        self::assertSame(630, $box->grams());
        self::assertSame('', $box->caveat());
        self::assertSame([0, 0, 1], array_values(array_map(static fn (SharedThing $thing): int => $thing->short($class), $things)));
    }

    public function testWhatDidNotComeBackWasHandedOutOrIsMissing(): void
    {
        $gems = CameBack::of(60, 12, true);
        self::assertSame([12, 48, 0], [$gems->back, $gems->handedOut, $gems->missing]);
        $punches = CameBack::of(3, 2, false);
        self::assertSame([2, 0, 1], [$punches->back, $punches->handedOut, $punches->missing]);
        foreach ([-1, 4] as $back) {
            try {
                CameBack::of(3, $back, false);
                self::fail("$back of 3");
            } catch (InvalidWorkshop $refused) {
                self::assertSame('back', $refused->field);
            }
        }
    }

    public function testNothingIsCreatedOrLostOnTheWayBack(): void
    {
        mt_srand(5);
        for ($i = 0; $i < 300; ++$i) {
            $left = mt_rand(1, 500);
            $back = CameBack::of($left, mt_rand(0, $left), 1 === mt_rand(0, 1));
            self::assertSame($left, $back->back + $back->handedOut + $back->missing);
        }
    }

    public function testADesignIsDealtOutWhereItComesOutEven(): void
    {
        $class = new Headcount(6, 2);
        self::assertEquals(new Share(3), Share::byDesign(24, $class));
        self::assertNull(Share::byDesign(25, $class));
        self::assertNull(Share::byDesign(0, $class));
    }

    public function testWhatNobodyHasWeighedWeighsAsSuchThingsDo(): void
    {
        $share = new Share(1);
        $weighed = SharedThing::ofList('Brads', $share, Kind::Embellishment, Tracking::Count, 2, 40);
        self::assertSame([2000, false, 40], [$weighed->milligrams, $weighed->isUsual, $weighed->there]);
        $guessed = SharedThing::ofList('Ink', $share, Kind::Ink, Tracking::Level, null, 8);
        self::assertSame([90_000, true, 1], [$guessed->milligrams, $guessed->isUsual, $guessed->there], 'one bottle, however full');
        self::assertSame(0, SharedThing::ofList('Twine', $share, Kind::Ribbon, Tracking::Length, 30, 900)->milligrams);
    }

    public function testAPieceWeighsWhatItsPaperDoes(): void
    {
        [$class, $side] = [new Headcount(5, 1), 100 * Length::TICKS_PER_MILLIMETRE];
        $piece = SharedThing::ofPiece('Panel', new Share(2), $side, $side, 300_000, $class);
        self::assertSame([3000, false, 12, 0], [$piece->milligrams, $piece->isUsual, $piece->there, $piece->short($class)]);
        $unsaid = SharedThing::ofPiece('Panel', new Share(2), $side, $side, null, $class);
        self::assertSame([2650, true], [$unsaid->milligrams, $unsaid->isUsual]);
    }
}
