<?php

declare(strict_types=1);

namespace Lottel\Core\Tests;

use Lottel\Core\Care\Care;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Design\Fold;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\Access;
use Lottel\Core\Homes\Belonging;
use Lottel\Core\Homes\Reach;
use Lottel\Core\Kit\Availability;
use Lottel\Core\Kit\PullPlan;
use Lottel\Core\Label\ScanCode;
use Lottel\Core\Log\Audit;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Round\MotionTimes;
use PHPUnit\Framework\TestCase;

/** Rules that are each a word or a figure long, and easily lost. */
final class RulesTest extends TestCase
{
    public function testABottleIsTakenWholeHoweverMuchIsWanted(): void
    {
        self::assertSame(['from' => [3 => 5], 'missing' => 0], (new PullPlan())->split(1, [3 => 5], 3, true));
        self::assertSame(
            [true, true, false, false],
            array_map(static fn (Tracking $tracking): bool => $tracking->movesWhole(), [
                Tracking::One,
                Tracking::Level,
                Tracking::Count,
                Tracking::Length,
            ]),
        );
    }

    public function testOnesOwnWishIsNotAnothers(): void
    {
        self::assertSame([10, 4], [(new Availability(10, 0, 0))->free(), (new Availability(10, 0, 6))->free()]);
        self::assertSame(0, (new Availability(10, 0, 0))->shortfall(10), 'what one wants oneself is not in one’s own way');
        self::assertSame(6, (new Availability(10, 0, 6))->shortfall(10));
        self::assertSame(0, (new Availability(5, 7, 9))->free(), 'never less than nothing');
    }

    public function testTheAuditKnowsOfPlacesThatItHasNeverHeardOf(): void
    {
        $found = (new Audit())->differences([1 => [77 => -3]], [1 => [77 => -3]], [], [1 => Tracking::Count]);
        self::assertSame(['negative balance'], array_column($found, 'what'), 'an unknown place is taken for one in the room');
        $found = (new Audit())->differences([1 => [77 => 1]], [], [], []);
        self::assertSame(['balance differs from the log'], array_column($found, 'what'));
    }

    public function testArticlesDoNotCountInNamesAndMakers(): void
    {
        $things = [new Thing(1, 'The anchor', 'The Oddling'), new Thing(2, 'Barnacle', 'Kelp & Comma'), new Thing(3, 'A curlew', 'An Oar')];
        self::assertSame([1, 2, 3], array_map(static fn (Thing $thing): int => $thing->id, FilingScheme::parse('name')->sort($things)));
        self::assertSame([2, 3, 1], array_map(static fn (Thing $thing): int => $thing->id, FilingScheme::parse('maker')->sort($things)));
        self::assertSame(
            [5, 4],
            array_map(
                static fn (Thing $thing): int => $thing->id,
                FilingScheme::parse('name')->sort([new Thing(4, 'Theatre'), new Thing(5, 'Anemone')]),
            ),
            'a word that begins like an article is none',
        );
    }

    public function testWhatHasManyColoursBelongsToNoFamily(): void
    {
        $blue = new Belonging(colour: 'blue');
        self::assertSame('multicolour, not blue', $blue->excludes(new Thing(1, 'Rainbow', colour: '#2f5f9e', isMulticolour: true)));
        self::assertNull($blue->excludes(new Thing(2, 'Sea', colour: '#2f5f9e')));
        self::assertSame('red, not blue', $blue->excludes(new Thing(3, 'Buoy', colour: '#c8372d')));
        self::assertNull((new Belonging(Kind::Paper, alsoKinds: [Kind::Scrap]))->excludes(new Thing(4, 'Scrap', kind: Kind::Scrap)));
    }

    /** By construction: a sheet that is folded once lies double, folded twice threefold. */
    public function testFoldingThickens(): void
    {
        self::assertSame(
            [1, 2, 2, 2, 3],
            array_map(static fn (Fold $fold): int => $fold->thicknesses(), [Fold::None, Fold::Top, Fold::Side, Fold::Gate, Fold::TriFold]),
        );
    }

    public function testReachIsThereAndBackAndALayerIsPutBack(): void
    {
        $times = new MotionTimes();
        $reach = new Reach($times);
        $still = $reach->to(0, 1000, Access::Open)->total();
        self::assertEqualsWithDelta($times->walk(2 * 3000), $reach->to(3000, 1000, Access::Open)->total() - $still, 1e-9);
        self::assertEqualsWithDelta(
            2 * $times->handle(),
            $times->getAt(1000, Access::Open, 1) - $times->getAt(1000, Access::Open),
            1e-9,
            'lifted off and put back',
        );
        self::assertEqualsWithDelta(8.0, $reach->to(0, 1000, Access::Open, isAway: true)->total() - $still, 1e-9, 'the door; an estimate');
        self::assertSame(
            [true, false],
            [
                $times->getAt(699, Access::Open) > $times->getAt(700, Access::Open),
                $times->getAt(1901, Access::Open) <= $times->getAt(1900, Access::Open),
            ],
            'a bend below 700 mm, a stool above 1900',
        );
    }

    public function testColourThresholdsStandWhereTheyStand(): void
    {
        $lab = static fn (string $hex): Lab => Lab::of(Srgb::ofHex($hex));
        self::assertTrue(Difference::isNear($lab('#1f5c6b'), $lab('#1f5c6b')));
        $near = array_filter(
            range(0, 120),
            static fn (int $step): bool => Difference::isNear($lab('#404040'), $lab(\sprintf('#%1$02x%1$02x%1$02x', 0x40 + $step))),
        );
        $far = 0x40 + (int) array_key_last($near) + 1;
        self::assertGreaterThan(14.0, Difference::between($lab('#404040'), $lab(\sprintf('#%1$02x%1$02x%1$02x', $far))));
        self::assertLessThanOrEqual(14.0, Difference::between($lab('#404040'), $lab(\sprintf('#%1$02x%1$02x%1$02x', $far - 1))));
        self::assertSame(
            [Family::Neutral, Family::Blue],
            [Family::of(Srgb::ofHex('#7a828c')), Family::of(Srgb::ofHex('#6a82a0'))],
            'grey with a little blue in it is grey',
        );
    }

    /** GS1 General Specifications, mod 10 with weights 3 and 1 from the right: 629104150021 has check digit 3 (their own example). */
    public function testCheckDigitsAreThoseOfTheStandard(): void
    {
        self::assertSame('LOTTEL:P629104150021-3', (string) ScanCode::ofPlace(629104150021));
        for ($digit = 0; $digit <= 9; ++$digit) {
            self::assertSame(3 === $digit, null !== ScanCode::read('LOTTEL:P629104150021-'.$digit), (string) $digit);
        }
        self::assertNull(ScanCode::read('LOTTEL:P629104150012-3'), 'two figures that changed places');
    }

    public function testSevenEighthsAreNotFull(): void
    {
        $text = new QuantityText(LengthUnit::Inch);
        self::assertSame(['⅞ full', 'full', 'full'], [$text->print(7, Tracking::Level), $text->print(8, Tracking::Level), $text->print(9, Tracking::Level)]);
        self::assertSame(['7/8', 'full'], [$text->field(7, Tracking::Level), $text->field(8, Tracking::Level)]);
    }

    public function testWhatMustBeTickedBeforeAThingGoesHome(): void
    {
        $ticked = array_filter(Hazard::cases(), static fn (Hazard $hazard): bool => Care::onReturn($hazard)->isTicked);
        self::assertSame(
            [Hazard::Inky, Hazard::Hot, Hazard::Blade, Hazard::Solvent, Hazard::SmallParts, Hazard::Powder, Hazard::LiesFlat],
            array_values($ticked),
            'all but what is only heavy',
        );
        self::assertSame(
            [Hazard::Hot, Hazard::Heavy],
            array_values(array_filter(Hazard::cases(), static fn (Hazard $hazard): bool => $hazard->isCarriedShort())),
        );
    }
}
