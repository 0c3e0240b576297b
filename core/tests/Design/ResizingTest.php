<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Design;

use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Design\DesignThing;
use Lottel\Core\Design\FoamSquares;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Design\InWork;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\MadeAlike;
use Lottel\Core\Design\MakingStep;
use Lottel\Core\Design\MakingSteps;
use Lottel\Core\Design\OnSheet;
use Lottel\Core\Design\Resizing;
use Lottel\Core\Design\Sides;
use Lottel\Core\Design\StepInWork;
use Lottel\Core\Design\ThingRole;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;

final class ResizingTest extends TestCase
{
    private const GRID = 2 * Designs::UNIT;

    public function testRevealsAndDistancesStay(): void
    {
        $larger = Resizing::to(Designs::card(), CardSize::Five->sides(), self::GRID);
        self::assertEquals(
            [Designs::sides(80, 224), Designs::sides(78, 110), Designs::sides(76, 108), Designs::sides(68, 12)],
            array_map(static fn (DesignPiece $piece): Sides => $piece->size, $larger->pieces()),
            'the strip keeps its height and its distance from the sides',
        );
        self::assertEquals(Designs::card(), Resizing::to($larger, Designs::card()->finished, self::GRID), 'and back');
    }

    public function testAWindowKeepsItsFrame(): void
    {
        $design = Designs::card()->without(3)->and(Layer::frame(0, 'frame', 0, Designs::sides(56, 76)));
        self::assertEquals(Designs::sides(68, 100), Resizing::to($design, CardSize::Five->sides(), self::GRID)->layer(4)->window);
    }

    public function testPhotosKeepTheirSizesAndLieOnTheGrid(): void
    {
        $design = Designs::page()->and(Designs::photo(1, 16, 16))->and(Designs::photo(2, 90, 16));
        $small = Resizing::to($design, Designs::sides(170, 140), self::GRID);
        foreach ($small->blocks as $block) {
            self::assertEquals(Designs::sides(64, 96), $block->at->sides());
            self::assertSame([0, 0], [$block->outer()->x % self::GRID, $block->outer()->y % self::GRID]);
        }
    }

    public function testWhateverIsMadeAgainCanBe(): void
    {
        $made = 0;
        foreach (Designs::manyCards(150) as $design) {
            foreach ([CardSize::Slimline, CardSize::Square6] as $size) {
                try {
                    $again = Resizing::to($design, $size->sides(), self::GRID);
                } catch (InvalidDesign) {
                    // Reveals are kept, and those of so wide a mat may leave nothing.
                    continue;
                }
                ++$made;
                self::assertCount(\count($design->layers), $again->checked()->layers);
            }
        }
        self::assertGreaterThan(150, $made);
    }

    /** Foam as one lays it by hand (common practice, no source). */
    public function testFoamIsEstimated(): void
    {
        self::assertSame(3, FoamSquares::under(Designs::sides(56, 12)), 'a strip: its ends and its middle');
        self::assertSame(1, FoamSquares::under(Designs::sides(12, 12)), 'a small thing');
        self::assertSame(4 * 5, FoamSquares::under(Designs::sides(66, 86)), 'a panel');
        self::assertSame(3, FoamSquares::onCard(Designs::card()));
    }

    public function testStepsFollowTheLayers(): void
    {
        $design = Designs::card();
        $design = $design->putting($design->layer(2)->with(['isStamped' => true]))
            ->and(Layer::frame(0, 'frame', Designs::UNIT, Designs::sides(40, 40)))
            ->taking(new DesignThing(9, ThingRole::Envelope, 1));
        $steps = (new MakingSteps(new LengthFormat(LengthUnit::Inch)))->of($design);
        self::assertSame(
            ['Fold the base', 'Mat on the base', 'Stamp the panel', 'Panel on the mat', 'Strip on the panel, on foam',
                'Cut the window 2½ × 2½ into the frame, from its middle', 'Frame on the panel', 'Into its envelope'],
            array_map(static fn (MakingStep $step): string => $step->words, $steps),
        );
        self::assertCount(\count($steps), array_unique(array_map(static fn (MakingStep $step): string => $step->key, $steps)));
        $page = Designs::page(Form::Spread)->and(Designs::photo(1, 220, 16));
        self::assertSame(
            ['Photo 1 on its mat: 1⅝ from the left, ⅞ in from the top, right page'],
            array_map(static fn (MakingStep $step): string => $step->words, (new MakingSteps(new LengthFormat(LengthUnit::Inch)))->of($page)),
        );
    }

    public function testBasesComeOutOfSheetsInPlainRows(): void
    {
        $letter = Designs::sides(136, 176);
        self::assertSame(2, OnSheet::many($letter, Designs::sides(68, 176)), 'half of a letter sheet cut lengthwise');
        self::assertSame(4, OnSheet::many($letter, Designs::sides(68, 88)), 'a quarter of one');
        self::assertSame(4, OnSheet::sheets($letter, Designs::sides(68, 176), 8));
        self::assertSame(5, OnSheet::sheets($letter, Designs::sides(68, 176), 9));
        self::assertNull(OnSheet::sheets($letter, Designs::sides(137, 176), 1));
        self::assertSame([0, 1], [OnSheet::many($letter, Designs::sides(176, 100), false), OnSheet::many($letter, Designs::sides(176, 100))]);
    }

    public function testHowFarCardsAreIsToldInARow(): void
    {
        $steps = (new MakingSteps(new LengthFormat(LengthUnit::Inch)))->of(Designs::card(8));
        $work = new InWork(8, 2, $steps, ['base.fold' => 8, 'L1.stick' => 5]);
        self::assertSame(
            ['1–2 done', '3–5 1: Panel on the mat', '6–8 : Mat on the base'],
            array_map(static fn (MadeAlike $alike): string => \sprintf(
                '%d–%d %s',
                $alike->first,
                $alike->last(),
                $alike->isDone ? 'done' : implode(' ', $alike->layers).': '.$alike->next,
            ), $work->row()),
        );
        self::assertSame(['L1.stick', 3], [$work->next()?->step->key, $work->next()?->left()]);
        self::assertSame([8, 5, 2, 2], array_map(static fn (StepInWork $step): int => $step->done, $work->steps), 'what is finished has been through all');
        self::assertNull((new InWork(2, 2, $steps, []))->next());
        self::assertSame(8, (new InWork(8, 0, $steps, ['base.fold' => 99]))->steps[0]->done, 'no more than there are');
    }

    public function testThingsFollowTheNumber(): void
    {
        $foam = new DesignThing(5, ThingRole::Foam, 3);
        self::assertSame([24, 36], [$foam->quantity(8), $foam->quantity(12)]);
        self::assertEquals(new DesignThing(5, ThingRole::Foam, 4), $foam->wanting(32, 8), 'shared out where it comes out even');
        self::assertEquals(new DesignThing(5, ThingRole::Foam, 0, 30), $foam->wanting(30, 8), 'else so much altogether');
        self::assertSame(1, (new DesignThing(6, ThingRole::Beside, 0))->quantity(8), 'a stamp set is wanted once');
        $design = Designs::card()->taking(new DesignThing(9, ThingRole::Envelope, 1))->taking(new DesignThing(10, ThingRole::Envelope, 1))->taking($foam);
        self::assertSame([10, 5], array_map(static fn (DesignThing $thing): int => $thing->item, $design->things), 'one envelope');
        self::assertNull($design->notTaking(10)->inRole(ThingRole::Envelope));
    }
}
