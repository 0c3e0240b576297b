<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Design;

use Lottel\Core\Design\Block;
use Lottel\Core\Design\BlockKind;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Design\EqualGutters;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\KeptDesign;
use Lottel\Core\Design\PageCheck;
use Lottel\Core\Design\PageFinding;
use Lottel\Core\Design\PageTurn;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\PhotoRows;
use Lottel\Core\Design\Rect;
use Lottel\Core\Design\StartingLayout;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class PageTest extends TestCase
{
    private const GRID = 2 * Designs::UNIT;
    private const MARGIN = 8 * Designs::UNIT;

    public function testBlocksBecomePieces(): void
    {
        $design = Designs::page()->with(['paper' => new PaperChoice(7)])
            ->and(Designs::photo(1, 16, 16))
            ->and(Designs::photo(2, 90, 16))
            ->and(new Block(0, 'title', BlockKind::Title, Designs::rect(16, 130, 80, 20), paper: new PaperChoice(6)))
            ->and(new Block(0, 'cluster', BlockKind::Cluster, Designs::rect(120, 120, 20, 20)));
        self::assertSame(
            ['page 192 × 192, 1', 'photo mat 68 × 100, 2', 'title 80 × 20, 1'],
            array_map(static fn (DesignPiece $piece): string => \sprintf(
                '%s %d × %d, %d',
                $piece->name,
                intdiv($piece->size->width, Designs::UNIT),
                intdiv($piece->size->height, Designs::UNIT),
                $piece->quantity(1),
            ), $design->pieces()),
        );
        self::assertSame(2, $design->with(['form' => Form::Spread])->pieces()[0]->each, 'two pages of paper');
        self::assertCount(2, $design->with(['paper' => null])->pieces(), 'a page that is there is not cut');
        self::assertCount(2, $design->putting($design->block(3)->with(['paper' => null]))->pieces(), 'a title without paper is written on the page');
        self::assertEquals($design, KeptDesign::read(KeptDesign::of($design)));
    }

    public function testABlockOutsideItsPageIsRefused(): void
    {
        self::assertSame('blocks[0]', CardTest::refused(static fn (): Design => Designs::page()->and(Designs::photo(1, 127, 16))->checked()));
        self::assertSame('blocks[0]', CardTest::refused(static fn (): Design => Designs::page()->and(Designs::photo(1, 1, 16))->checked()), 'its mat is');
        self::assertCount(1, Designs::page(Form::Spread)->and(Designs::photo(1, 220, 16))->checked()->blocks, 'on the right page');
    }

    public function testWhatLiesOverAnotherOrTooNearIsTold(): void
    {
        $found = static fn (Design $design): array => array_map(
            static fn (PageFinding $finding): string => $finding->block.' '.$finding->what,
            PageCheck::of($design, self::MARGIN),
        );
        $design = Designs::page()->and(Designs::photo(1, 16, 16))->and(Designs::photo(2, 60, 60));
        self::assertSame(['2 lies over photo 1'], $found($design));
        self::assertSame([], $found(Designs::page()->and(Designs::photo(1, 16, 16))->and(Designs::photo(2, 84, 16))), 'an edge in common is none');
        self::assertSame(['1 comes nearer to the edge than the margin'], $found(Designs::page()->and(Designs::photo(1, 9, 16))));
        self::assertSame(['1 crosses the fold between the pages'], $found(Designs::page(Form::Spread)->and(Designs::photo(1, 160, 16))));
        $cluster = new Block(0, 'cluster', BlockKind::Cluster, Designs::rect(60, 60, 20, 20));
        self::assertSame([], $found(Designs::page()->and(Designs::photo(1, 16, 16))->and($cluster)), 'a cluster bridges what lies there');
        $right = Designs::page(Form::Spread)->and(Designs::photo(1, 197, 16));
        self::assertSame(['1 comes nearer to the edge than the margin'], $found($right), 'of its own page');
    }

    /** @return iterable<string, array{StartingLayout}> */
    public static function layouts(): iterable
    {
        foreach (StartingLayout::cases() as $layout) {
            yield $layout->value => [$layout];
        }
    }

    #[DataProvider('layouts')]
    public function testStartingLayoutsAreWhole(StartingLayout $layout): void
    {
        $design = Designs::page($layout->form());
        $design = $design->with(['blocks' => $layout->blocks($design->finished, self::GRID)])->checked();
        self::assertSame([], array_map(static fn (PageFinding $finding): string => $finding->block.' '.$finding->what, PageCheck::of($design, self::MARGIN)));
        foreach ($design->blocks as $block) {
            self::assertSame([0, 0], [$block->at->x % self::GRID, $block->at->y % self::GRID], 'on the grid');
        }
        self::assertGreaterThan(0, $layout->photos());
        $small = Designs::page($layout->form())->with(['finished' => Designs::sides(128, 128)]);
        $small->with(['blocks' => $layout->blocks($small->finished, self::GRID)])->checked();
    }

    #[DataProvider('layouts')]
    public function testMirroredTwiceIsTheSameAndTurnedFourTimes(StartingLayout $layout): void
    {
        $design = Designs::page($layout->form());
        $design = $design->with(['blocks' => $layout->blocks($design->finished, self::GRID)]);
        self::assertEquals($design, PageTurn::mirrored(PageTurn::mirrored($design)));
        self::assertEquals($design, PageTurn::flipped(PageTurn::flipped($design)));
        self::assertNotEquals($design, PageTurn::mirrored($design));
        self::assertCount(\count(PageCheck::of($design, self::MARGIN)), PageCheck::of(PageTurn::mirrored($design), self::MARGIN));
        if (Form::Spread === $layout->form()) {
            self::assertSame('', CardTest::refused(static fn (): Design => PageTurn::turned($design)));

            return;
        }
        $turned = PageTurn::turned($design);
        self::assertEquals(PageTurn::flipped(PageTurn::mirrored($design)), PageTurn::turned($turned), 'half a turn is both mirrors');
        self::assertEquals($design, PageTurn::turned(PageTurn::turned(PageTurn::turned($turned))));
    }

    public function testGuttersAreMadeEqual(): void
    {
        $design = Designs::page()
            ->and(Designs::photo(1, 12, 12, 60, 40))
            ->and(Designs::photo(2, 86, 16, 60, 40))
            ->and(Designs::photo(3, 12, 70, 30, 30))
            ->and(Designs::photo(4, 50, 78, 30, 60))
            ->and(Designs::photo(5, 90, 72, 40, 20))
            ->and(Designs::photo(6, 94, 110, 40, 20));
        $spaced = (new EqualGutters(4 * Designs::UNIT, self::MARGIN))->on($design);
        $outer = static fn (int $id): Rect => $spaced->block($id)->outer();
        $gutter = 4 * Designs::UNIT;
        self::assertSame($gutter, $outer(2)->x - $outer(1)->right());
        self::assertSame($gutter, $outer(4)->x - $outer(3)->right());
        self::assertSame($gutter, $outer(5)->x - $outer(4)->right());
        self::assertSame($gutter, $outer(6)->y - $outer(5)->bottom(), 'a column within the row');
        self::assertSame($gutter, min($outer(3)->y, $outer(4)->y, $outer(5)->y) - max($outer(1)->bottom(), $outer(2)->bottom()));
        self::assertEquals($spaced, (new EqualGutters($gutter, self::MARGIN))->on($spaced), 'once more changes nothing');
    }

    public function testThoseThatLieABitOverEachOtherAreParted(): void
    {
        $design = Designs::page()->and(Designs::photo(1, 16, 16))->and(Designs::photo(2, 80, 20));
        $spaced = (new EqualGutters(4 * Designs::UNIT, self::MARGIN))->on($design);
        self::assertSame(4 * Designs::UNIT, $spaced->block(2)->outer()->x - $spaced->block(1)->outer()->right());
    }

    public function testGuttersThatCannotBeAreRefused(): void
    {
        $pinwheel = Designs::page()
            ->and(Designs::photo(1, 16, 16, 80, 30))
            ->and(Designs::photo(2, 110, 16, 30, 80))
            ->and(Designs::photo(3, 60, 110, 80, 30))
            ->and(Designs::photo(4, 16, 60, 30, 80));
        self::assertSame('gutter', CardTest::refused(static fn (): Design => (new EqualGutters(4 * Designs::UNIT, self::MARGIN))->on($pinwheel)));
        $row = Designs::page()->and(Designs::photo(1, 16, 16))->and(Designs::photo(2, 90, 16));
        self::assertSame('gutter', CardTest::refused(static fn (): Design => (new EqualGutters(60 * Designs::UNIT, self::MARGIN))->on($row)));
    }

    /** Whatever was thrown on a page: with gutters nothing lies over anything, nothing is lost, and all is within the margins. */
    public function testWithGuttersNothingLiesOverAnything(): void
    {
        $dice = new Randomizer(new Mt19937(7));
        $done = 0;
        for ($try = 0; $try < 200; ++$try) {
            $design = Designs::page(1 === $dice->getInt(0, 1) ? Form::Spread : Form::Page);
            for ($photos = $dice->getInt(1, 6); $photos > 0; --$photos) {
                $design = $design->and(Designs::photo($photos, $dice->getInt(2, 100), $dice->getInt(2, 100), $dice->getInt(10, 40), $dice->getInt(10, 40)));
            }
            try {
                $spaced = (new EqualGutters(self::GRID, self::MARGIN))->on($design);
            } catch (\Lottel\Core\Design\InvalidDesign) {
                continue;
            }
            ++$done;
            self::assertSame([], PageCheck::of($spaced, self::MARGIN));
            self::assertEquals(
                array_map(static fn (Block $block): string => serialize($block->at->sides()), $design->blocks),
                array_map(static fn (Block $block): string => serialize($block->at->sides()), $spaced->blocks),
            );
        }
        self::assertGreaterThan(60, $done);
    }

    public function testPhotosComeInRowsAndTurnWhereThatHelps(): void
    {
        $rows = new PhotoRows(4 * Designs::UNIT, self::MARGIN);
        $photos = static fn (int $many): array => array_map(static fn (int $number): Block => Designs::photo($number, 0, 0), range(1, $many));
        [$design, $left] = $rows->on(Designs::page(), $photos(3));
        self::assertSame([], $left);
        $heights = array_map(static fn (Block $block): int => intdiv($block->at->height, Designs::UNIT), $design->blocks);
        self::assertSame([96, 96, 64], $heights, 'the third lies');
        self::assertSame([], PageCheck::of($design, self::MARGIN));
        [$design, $left] = $rows->on(Designs::page(Form::Spread), $photos(6));
        self::assertSame([6, 0], [\count($design->blocks), \count($left)]);
        self::assertSame([], PageCheck::of($design, self::MARGIN));
        self::assertCount(5, $rows->on(Designs::page(), $photos(8))[1], 'what does not fit is left out');
    }

    public function testABlockWhoseMiddleIsOnTheFoldBelongsToTheRightPage(): void
    {
        $spread = Designs::page(Form::Spread);
        $fold = intdiv($spread->finished->width, Designs::UNIT);
        $design = $spread
            ->and(Designs::photo(1, 16, 16, 60, 40))
            ->and(Designs::photo(2, $fold - 20, 80, 40, 40))
            ->and(Designs::photo(3, $fold + 60, 84, 40, 40));
        $spaced = (new EqualGutters(4 * Designs::UNIT, self::MARGIN))->on($design);
        self::assertGreaterThanOrEqual($spread->finished->width, $spaced->block(2)->outer()->x);
        self::assertSame(4 * Designs::UNIT, $spaced->block(3)->outer()->x - $spaced->block(2)->outer()->right(), 'it is in a row with the other of that page');
    }
}
