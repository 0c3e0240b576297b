<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Catalogue;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\KindWords;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Words\Counted;
use PHPUnit\Framework\TestCase;

final class ThingTest extends TestCase
{
    public function testItsSizeIsThatOfBothSides(): void
    {
        self::assertSame(105 * 148, Thing::areaOf(Length::ofTenthMillimetres(1055), Length::ofTenthMillimetres(1489)));
        self::assertNull(Thing::areaOf(null, Length::ofInches(4)));
        self::assertNull(Thing::areaOf(Length::ofInches(4), null));
    }

    /** A place of a season says so, or most of what is in it is of that season. */
    public function testASeasonHasItsPlaces(): void
    {
        self::assertTrue(Season::Winter->isOf(Season::Winter, 0, 9), 'it says so');
        self::assertFalse(Season::Winter->isOf(Season::Summer, 0, 9));
        self::assertFalse(Season::Winter->isOf(null, 2, 4), 'half is not most');
        self::assertTrue(Season::Winter->isOf(null, 3, 4));
        self::assertFalse(Season::Winter->isOf(null, 0, 0), 'an empty place is of no season');
    }

    public function testAContainerStandsInForAnything(): void
    {
        foreach (Tracking::cases() as $other) {
            foreach (Tracking::cases() as $wanted) {
                $expected = $other === $wanted || \in_array($other, [Tracking::One, Tracking::Level], true);
                self::assertSame($expected, $other->canReplace($wanted), "{$other->value} for {$wanted->value}");
            }
        }
    }

    public function testHowItIsCountedIsSaid(): void
    {
        self::assertSame(
            ['as one thing', 'by the piece', 'by length', 'by how full it is'],
            array_map(static fn (Tracking $tracking): string => $tracking->inWords(), Tracking::cases()),
        );
        self::assertSame(
            ['How many', 'How many', 'How long', 'How full'],
            array_map(static fn (Tracking $tracking): string => $tracking->asked(), Tracking::cases()),
        );
        self::assertSame([true, false, false, false], array_map(static fn (Tracking $tracking): bool => $tracking->isSingle(), Tracking::cases()));
        self::assertSame([false, false, false, true], array_map(static fn (Tracking $tracking): bool => $tracking->isLevel(), Tracking::cases()));
        self::assertSame(['once', '2 times', '1,000 times'], array_map(Counted::times(...), [1, 2, 1000]));
        self::assertSame(['Sentiments', 'Words on it'], [Kind::StampSet->wordsOnIt(), Kind::Die->wordsOnIt()]);
    }

    public function testASampleStandsForMore(): void
    {
        self::assertEquals(new Contents(3, 6, 30), (new Contents(2, 4, 20, 2))->times(1.5));
    }

    public function testAReInkerIsNothingToStampWith(): void
    {
        foreach (['Petrel re-inker', 'Reinker, Buoy', 'Gull refill', 'Re-inking bottle'] as $name) {
            self::assertTrue(KindWords::isReInker($name), $name);
        }
        foreach (['Petrel ink', 'Inker of lines', 'Refilled'] as $name) {
            self::assertFalse(KindWords::isReInker($name), $name);
        }
    }
}
