<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\Carver;
use Lottel\Core\Cutting\CutPlan;
use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\Filling;
use Lottel\Core\Cutting\GreedyFill;
use Lottel\Core\Cutting\PatternTable;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\Score;
use Lottel\Core\Cutting\SheetBound;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Cutting\SmallJob;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use PHPUnit\Framework\TestCase;

final class CarverTest extends TestCase
{
    public function testTrimmingLeavesTheLargerOffcut(): void
    {
        $part = new SheetPart(0, 0, 12, 9);
        $corner = (new Carver(new Trimmer()))->trim($part, 4, 6);
        self::assertSame([0, 0, 4, 6], [$corner?->x, $corner?->y, $corner?->width, $corner?->height]);
        self::assertSame(72, $part->largestOffcut(), 'eight wide over the whole height');
        self::assertSame(2, $part->cuts());
        self::assertSame(108, array_sum(array_map(static fn (SheetPart $leaf): int => $leaf->area(), $part->leaves())));
    }

    public function testATrimmerThatIsTooShortCutsInTheOtherOrderOrNotAtAll(): void
    {
        $carver = new Carver(new Trimmer(longestCut: 9));
        $part = new SheetPart(0, 0, 12, 9);
        self::assertNotNull($carver->trim($part, 4, 6, false), 'across first would need 12; so it is cut down first');
        self::assertTrue($part->isCutAlongX);
        self::assertFalse($carver->canTrim(new SheetPart(0, 0, 12, 12), 4, 6), 'too large either way');
        self::assertTrue($carver->canTrim(new SheetPart(0, 0, 12, 12), 12, 12), 'nothing to cut');
        self::assertNull($carver->trim(new SheetPart(0, 0, 4, 4), 5, 4), 'too small');
    }

    public function testNoStripIsNarrowerThanTheTrimmerHolds(): void
    {
        $carver = new Carver(new Trimmer(smallestStrip: 2));
        self::assertFalse($carver->canTrim(new SheetPart(0, 0, 10, 10), 9, 10));
        self::assertTrue($carver->canTrim(new SheetPart(0, 0, 10, 10), 8, 10));
        self::assertFalse($carver->canTrim(new SheetPart(0, 0, 10, 10), 1, 10));
        self::assertNull($carver->once(new SheetPart(0, 0, 10, 10), true, 9));
    }

    public function testEveryGreedyFillingOfASheetIsSound(): void
    {
        mt_srand(90);
        foreach (Filling::all() as $how) {
            $pieces = array_map(static fn (int $i): Piece => new Piece('p'.$i, mt_rand(5, 40), mt_rand(5, 40), 3, true, ''), range(1, 6));
            $fill = new GreedyFill($pieces, new Trimmer(null, 1));
            $root = $fill->fill(new Stock('s', 68, 88, 1, '', true), range(0, 5), array_fill(0, 6, 3), $how);
            self::assertNotNull($root);
            self::assertSame(68 * 88, array_sum(array_map(static fn (SheetPart $leaf): int => $leaf->area(), $root->leaves())));
            foreach ($root->pieces() as $count) {
                self::assertLessThanOrEqual(3, $count);
            }
            self::assertGreaterThan(0, $fill->work);
        }
        self::assertNull(
            (new GreedyFill([new Piece('p', 9, 9, 1, true, '')], new Trimmer()))->fill(
                new Stock('s', 8, 8, 1, '', true),
                [0],
                [1],
                Filling::all()[0],
            ),
        );
    }

    public function testACopiedPartIsAPartOfItsOwn(): void
    {
        $part = new SheetPart(0, 0, 10, 10);
        $part->cut(true, 4)->piece = 3;
        $copy = $part->copy();
        self::assertEquals($part, $copy);
        $copy->leaves()[0]->piece = 5;
        self::assertSame(3, $part->leaves()[0]->piece);
    }

    public function testWhatIsBetterComesInTheOrderOfTheGoals(): void
    {
        $base = new Score(0, 2, 100, 50, 30, 9);
        foreach (
            [
                new Score(1, 0, 0, 0, 99, 0),
                new Score(0, 3, 0, 0, 99, 0),
                new Score(0, 2, 101, 0, 99, 0),
                new Score(0, 2, 100, 51, 99, 0),
                new Score(0, 2, 100, 50, 29, 0),
                new Score(0, 2, 100, 50, 30, 10),
            ] as $worse
        ) {
            self::assertTrue($base->isBetterThan($worse));
            self::assertFalse($worse->isBetterThan($base));
        }
        self::assertFalse($base->isBetterThan($base));
    }

    public function testEachPaperIsCutFromItsOwnStock(): void
    {
        $pieces = [new Piece('w', 34, 44, 4, true, 'white'), new Piece('k', 34, 44, 2, true, 'kraft'), new Piece('none', 10, 10, 3, true, 'vellum')];
        $stocks = [
            new Stock('white', 68, 88, 5, 'white', true),
            new Stock('kraft', 68, 88, 5, 'kraft', true),
            new Stock('kraft scrap', 34, 44, 1, 'kraft', false),
        ];
        [$plan, $bound] = (new CutPlanner())->plan($pieces, $stocks);
        self::assertSame([2 => 3], $plan->unplaced, 'there is no vellum');
        self::assertSame([0, 1, 2], $this->sorted(array_map(static fn ($cut): int => $cut->stock, $plan->used)));
        self::assertSame(2, $bound);
        self::assertSame(34 * 44, $plan->score->scrapAreaOpened);
    }

    public function testScrapsAreUsedBeforeSheetsAndTheSmallestOnesThatDo(): void
    {
        $piece = [new Piece('p', 20, 30, 1, true, '')];
        $stocks = [
            new Stock('sheet', 68, 88, 5, '', true),
            new Stock('large', 60, 60, 1, '', false),
            new Stock('small', 21, 31, 1, '', false),
            new Stock('tiny', 19, 30, 9, '', false),
        ];
        [$plan] = (new CutPlanner())->plan($piece, $stocks);
        self::assertSame([2], array_map(static fn ($cut): int => $cut->stock, $plan->used));
        self::assertSame([0, 0], [$plan->score->sheets, $plan->score->areaNotFromScraps]);
    }

    public function testWhatCannotBePlacedIsTheLeastThatCanBe(): void
    {
        [$plan] = (new CutPlanner())->plan(
            [new Piece('large', 60, 80, 1, false, ''), new Piece('small', 20, 20, 6, false, '')],
            [new Stock('s', 68, 88, 1, '', true)],
        );
        self::assertInstanceOf(CutPlan::class, $plan);
        self::assertSame([0 => 1], $plan->unplaced, 'six small ones are more pieces than one large one');
    }

    public function testBoundsAreModestWhereNothingIsKnown(): void
    {
        self::assertSame(0, (new SheetBound())->of([new Piece('p', 10, 10, 5, true, '')], []));
        self::assertSame(
            5,
            (new SheetBound())->of([new Piece('p', 50, 50, 5, true, '')], [new Stock('s', 68, 88, 9, '', true)]),
            'one on each sheet, which area alone would not tell',
        );
        self::assertNull(PatternTable::for([new Piece('p', 1, 1, 1, true, '')], [1], 5000, 5000), 'too large a table is not begun');
        self::assertNull(
            SmallJob::solve(
                array_map(static fn (int $i): Piece => new Piece('p'.$i, 5 + $i, 7, 3, true, ''), range(1, 9)),
                [new Stock('s', 68, 88, 9, '', true)],
                new Trimmer(),
            ),
            'too large a job is left to the search',
        );
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<int>
     */
    private function sorted(array $numbers): array
    {
        sort($numbers);

        return $numbers;
    }
}
