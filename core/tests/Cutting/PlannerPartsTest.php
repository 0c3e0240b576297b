<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\Arrangement;
use Lottel\Core\Cutting\Blocks;
use Lottel\Core\Cutting\CutPlan;
use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\CutStock;
use Lottel\Core\Cutting\Dice;
use Lottel\Core\Cutting\GreedySearch;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\PieceSets;
use Lottel\Core\Cutting\Recutting;
use Lottel\Core\Cutting\RoomyCut;
use Lottel\Core\Cutting\SheetBound;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Cutting\SideBound;
use Lottel\Core\Cutting\SmallJob;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use PHPUnit\Framework\TestCase;

/** What the cut planner is made of, each by itself. */
final class PlannerPartsTest extends TestCase
{
    /** @return list<Piece> */
    private function pieces(int $count, int $mostQuantity = 1, int $mostSide = 60): array
    {
        return array_map(
            static fn (int $i): Piece => new Piece(
                'p'.$i,
                mt_rand(8, $mostSide),
                mt_rand(8, $mostSide),
                mt_rand(1, $mostQuantity),
                0 !== mt_rand(0, 3),
                '',
            ),
            range(1, $count),
        );
    }

    public function testSetsAndTheirRestsAddUp(): void
    {
        mt_srand(1);
        $pieces = $this->pieces(5, 3);
        $sets = new PieceSets($pieces);
        self::assertSame(array_map(static fn (Piece $piece): int => $piece->quantity, $pieces), $sets->counts[$sets->all()]);
        for ($case = 0; $case < 300; ++$case) {
            $set = mt_rand(1, $sets->all());
            $parts = $sets->partsOf($set);
            self::assertCount((int) array_product(array_map(static fn (int $count): int => $count + 1, $sets->counts[$set])) - 2, array_unique($parts));
            foreach (\array_slice($parts, 0, 40) as $part) {
                self::assertTrue($sets->holds($set, $part));
                self::assertSame($sets->counts[$set], array_map(static fn (int $a, int $b): int => $a + $b, $sets->counts[$part], $sets->counts[$set - $part]));
                self::assertSame($sets->areaOf($set), $sets->areaOf($part) + $sets->areaOf($set - $part));
            }
            $other = mt_rand(0, $sets->all());
            $isPart =
                [] ===
                array_filter(
                    array_map(static fn (int $all, int $some): int => $all - $some, $sets->counts[$set], $sets->counts[$other]),
                    static fn (int $left): bool => $left < 0,
                );
            self::assertSame($isPart, $sets->holds($set, $other));
        }
    }

    public function testOfEachSetTheBlocksGoFromNarrowToWideAndCanBeCut(): void
    {
        mt_srand(2);
        foreach ([new Trimmer(), new Trimmer(150, 2)] as $trimmer) {
            $pieces = $this->pieces(6);
            $stock = new Stock('letter', 136, 176, 1, '', true);
            $sets = new PieceSets($pieces);
            $blocks = Blocks::build($pieces, [$stock], $sets, $trimmer, 1_000_000);
            self::assertNotNull($blocks);
            foreach ($blocks->of as $set => $list) {
                foreach ($list as $at => [$width, $height]) {
                    self::assertGreaterThanOrEqual($sets->areaOf($set), $width * $height);
                    if ($at > 0) {
                        self::assertGreaterThan($list[$at - 1][0], $width);
                        self::assertLessThan($list[$at - 1][1], $height);
                    }
                    $root = new SheetPart(0, 0, $width, $height);
                    if ($blocks->carve($root, $set, $width, $height)) {
                        self::assertEqualsCanonicalizing(
                            array_keys(array_filter($sets->counts[$set], static fn (int $count): bool => 0 !== $count)),
                            array_keys($root->pieces()),
                        );
                    } else {
                        self::assertNotEquals(new Trimmer(), $trimmer, 'only limits can stand in the way');
                    }
                }
                self::assertSame($list[0], $blocks->narrowest($set, 176));
                self::assertSame($list[\count($list) - 1], $blocks->lowest($set, 136));
            }
        }
        self::assertNull(
            Blocks::build($this->pieces(9), [new Stock('letter', 136, 176, 1, '', true)], new PieceSets($this->pieces(9)), new Trimmer(), 50),
            'too much work is given up',
        );
    }

    public function testTheRoomiestCutLeavesMoreThanAsked(): void
    {
        mt_srand(3);
        $found = 0;
        for ($case = 0; $case < 40; ++$case) {
            $pieces = $this->pieces(4, 1, 50);
            $sets = new PieceSets($pieces);
            $blocks = Blocks::build($pieces, [new Stock('letter', 136, 176, 1, '', true)], $sets, new Trimmer(), 1_000_000);
            self::assertNotNull($blocks);
            $roomy = new RoomyCut($blocks, new Trimmer());
            $cut = $roomy->cut($sets->all(), 136, 176, 0);
            self::assertNotNull($cut);
            self::assertTrue($roomy->isExact, 'all ways were looked at');
            self::assertLessThanOrEqual(136 * 176 - $sets->areaOf($sets->all()), $cut->largestOffcut());
            self::assertCount(4, $cut->pieces());
            self::assertNull((new RoomyCut($blocks, new Trimmer()))->cut($sets->all(), 136, 176, $cut->largestOffcut()), 'there is nothing larger');
            $found += $cut->largestOffcut() > 0.7 * (136 * 176 - $sets->areaOf($sets->all())) ? 1 : 0;
        }
        self::assertGreaterThan(25, $found, 'most of what is free is in one piece');
    }

    public function testCuttingAnewNeverMakesAPlanWorse(): void
    {
        mt_srand(4);
        $better = 0;
        for ($case = 0; $case < 12; ++$case) {
            $pieces = $this->pieces(mt_rand(8, 25), 2, 90);
            $stocks = [new Stock('letter', 136, 176, 30, '', true)];
            for ($scrap = 0, $scraps = mt_rand(0, 12); $scrap < $scraps; ++$scrap) {
                $stocks[] = new Stock('s'.$scrap, mt_rand(10, 80), mt_rand(10, 80), mt_rand(1, 2), '', false);
            }
            $trimmer = 0 === $case % 3 ? new Trimmer(150, 2) : new Trimmer();
            $greedy = (new GreedySearch($pieces, $stocks, $trimmer))->search(20_000);
            $bound = (new SheetBound())->of($pieces, $stocks);
            $anew = (new Recutting($pieces, $stocks, $trimmer))->improve($greedy, $bound, 150_000);
            self::assertFalse($greedy->score->isBetterThan($anew->score));
            $this->assertSound($anew, $pieces, $stocks);
            self::assertEquals($anew, (new Recutting($pieces, $stocks, $trimmer))->improve($greedy, $bound, 150_000), 'the same again');
            $better += $anew->score->isBetterThan($greedy->score) ? 1 : 0;
        }
        self::assertGreaterThan(6, $better, 'and mostly makes it better');
    }

    public function testAnArrangementKeepsCountOfItsStock(): void
    {
        $pieces = [new Piece('a', 40, 30, 3, false, ''), new Piece('b', 10, 10, 2, false, '')];
        $stocks = [new Stock('sheet', 100, 100, 3, '', true), new Stock('scrap', 40, 40, 1, '', false)];
        $root = new SheetPart(0, 0, 40, 40);
        $root->cut(false, 30)->piece = 0;
        $arrangement = Arrangement::of(new CutPlan($pieces, $stocks, [new CutStock(1, $root)], [0 => 2, 1 => 2]));
        self::assertSame([3, 0], $arrangement->whole);
        self::assertSame([0, 0, 1, 1], $arrangement->waiting);
        self::assertSame(2 * 1200 + 200, $arrangement->waitingArea($pieces));
        self::assertSame([4, 0, 2600, 1600, 0, 0, 1], $arrangement->value($pieces, $stocks));
        $arrangement->take(0, false);
        self::assertSame([3, 1], $arrangement->whole);
        self::assertSame([], $arrangement->plan($pieces, $stocks)->used);
    }

    /** Two pieces that are each more than half a sheet never share one, however small their area. */
    public function testSidesBoundWhatAreasDoNot(): void
    {
        $stocks = [new Stock('letter', 136, 176, 50, '', true)];
        self::assertSame(7, (new SideBound())->of([new Piece('wide', 100, 100, 7, true, '')], $stocks));
        self::assertSame(7, (new SideBound())->of([new Piece('bar', 20, 170, 42, false, '')], $stocks), 'six bars to a sheet');
        self::assertSame(0, (new SideBound())->of([], $stocks));
        self::assertSame(
            3,
            (new SideBound())->of([new Piece('wide', 100, 100, 5, true, '')], [...$stocks, new Stock('scrap', 110, 110, 2, '', false)]),
            'two lie on scraps',
        );
        mt_srand(5);
        for ($case = 0; $case < 60; ++$case) {
            $pieces = $this->pieces(mt_rand(1, 12), 3, 120);
            $some = [...$stocks, ...(0 === $case % 2 ? [] : [new Stock('scrap', mt_rand(20, 120), mt_rand(20, 120), mt_rand(1, 4), '', false)])];
            [$plan] = (new CutPlanner(seconds: 0.05))->plan($pieces, $some);
            self::assertLessThanOrEqual($plan->score->sheets, (new SideBound())->of($pieces, $some), 'case '.$case);
        }
    }

    public function testASmallJobIsOnlyTakenOnWhereItIsSmall(): void
    {
        self::assertTrue(SmallJob::isSmall([new Piece('a', 5, 5, 15, true, '')], 16));
        self::assertFalse(SmallJob::isSmall([new Piece('a', 5, 5, 16, true, '')], 16));
        self::assertNull(SmallJob::solve([new Piece('a', 5, 5, 1, true, '')], [], new Trimmer()));
        $plan = SmallJob::solve([new Piece('a', 50, 50, 3, true, '')], [new Stock('sheet', 100, 50, 1, '', true)], new Trimmer());
        self::assertSame([1, 1], [$plan?->score->unplaced, $plan?->score->sheets], 'what does not go is left over');
    }

    /** Where the trimmer's limits forbid the plan that is best without them, the one found keeps to them. */
    public function testLimitsAreKept(): void
    {
        mt_srand(6);
        for ($case = 0; $case < 40; ++$case) {
            $trimmer = new Trimmer([null, 100, 140][mt_rand(0, 2)], mt_rand(1, 6));
            $pieces = $this->pieces(mt_rand(2, 7), 2);
            $stocks = [new Stock('letter', 136, 176, 20, '', true), new Stock('scrap', 70, 60, 2, '', false)];
            [$plan, $bound] = (new CutPlanner($trimmer, 0.05))->plan($pieces, $stocks);
            $this->assertSound($plan, $pieces, $stocks);
            self::assertLessThanOrEqual($plan->score->sheets, $bound);
            $open = array_map(static fn (CutStock $cut): SheetPart => $cut->root, $plan->used);
            while (null !== $part = array_pop($open)) {
                if (null === $part->first || null === $part->second) {
                    continue;
                }
                self::assertTrue(
                    $part->isCutAlongX
                        ? $trimmer->allows($part->height, $part->first->width, $part->second->width)
                        : $trimmer->allows($part->width, $part->first->height, $part->second->height),
                );
                array_push($open, $part->first, $part->second);
            }
        }
    }

    public function testDiceAreFairEnoughAndTheSameEveryTime(): void
    {
        $counts = array_fill(0, 6, 0);
        $dice = new Dice();
        for ($throw = 0; $throw < 6000; ++$throw) {
            ++$counts[$dice->roll(6)];
        }
        self::assertGreaterThan(800, min($counts));
        self::assertSame((new Dice(7))->roll(1000), (new Dice(7))->roll(1000));
        self::assertSame(0, $dice->roll(1));
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     */
    private function assertSound(CutPlan $plan, array $pieces, array $stocks): void
    {
        $placed = array_fill(0, \count($pieces), 0);
        $used = [];
        foreach ($plan->used as $cut) {
            $used[$cut->stock] = ($used[$cut->stock] ?? 0) + 1;
            self::assertSame([$stocks[$cut->stock]->width, $stocks[$cut->stock]->height], [$cut->root->width, $cut->root->height]);
            $area = 0;
            foreach ($cut->root->leaves() as $leaf) {
                $area += $leaf->area();
                if (null !== $leaf->piece) {
                    ++$placed[$leaf->piece];
                    self::assertContains([$leaf->width, $leaf->height, $leaf->isTurned], $pieces[$leaf->piece]->ways());
                }
            }
            self::assertSame($cut->root->area(), $area, 'a cut conserves area');
        }
        foreach ($used as $stock => $count) {
            self::assertLessThanOrEqual($stocks[$stock]->quantity, $count);
        }
        foreach ($pieces as $index => $piece) {
            self::assertSame($piece->quantity, $placed[$index] + ($plan->unplaced[$index] ?? 0));
        }
    }

    public function testAPieceThatNoScrapHoldsCountsForASheetHoweverManyScrapsThereAre(): void
    {
        $small = array_map(static fn (int $i): Piece => new Piece('s'.$i, 10 + $i, 10, 2, true, ''), range(1, 12));
        $scraps = new Stock('scrap', 30, 30, 90, '', false);
        $sheet = new Stock('sheet', 200, 200, 4, '', true);
        self::assertSame(0, (new SheetBound())->of($small, [$scraps, $sheet]));
        self::assertSame(1, (new SheetBound())->of([...$small, new Piece('big', 150, 150, 1, true, '')], [$scraps, $sheet]));
    }
}
