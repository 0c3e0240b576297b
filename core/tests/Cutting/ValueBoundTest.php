<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\SheetBound;
use Lottel\Core\Cutting\SideBound;
use Lottel\Core\Cutting\SmallJob;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use Lottel\Core\Cutting\ValueBound;
use PHPUnit\Framework\TestCase;

final class ValueBoundTest extends TestCase
{
    /** Never above what an exact search needs, whatever the unit and the grid that follows from it. */
    public function testItIsNeverAboveTheFewestSheets(): void
    {
        mt_srand(21);
        $tight = $solved = 0;
        for ($case = 0; $case < 40; ++$case) {
            $unit = [1, 7, 508][$case % 3];
            $pieces = $stocks = [];
            for ($kind = 0, $kinds = mt_rand(2, 3); $kind < $kinds; ++$kind) {
                $pieces[] = new Piece('p'.$kind, $unit * mt_rand(20, 90), $unit * mt_rand(20, 90), mt_rand(1, 4), 0 === mt_rand(0, 1), '');
            }
            $stocks[] = new Stock('letter', 136 * $unit, 176 * $unit, 20, '', true);
            for ($scrap = 0, $scraps = mt_rand(0, 3); $scrap < $scraps; ++$scrap) {
                $stocks[] = new Stock('s'.$scrap, $unit * mt_rand(20, 80), $unit * mt_rand(20, 90), 1, '', false);
            }
            $exact = SmallJob::solve($pieces, $stocks, new Trimmer());
            $bound = (new ValueBound($pieces, $stocks))->of(99, 2_000_000);
            if (null !== $exact && 0 === $exact->score->unplaced) {
                self::assertLessThanOrEqual($exact->score->sheets, $bound, "case {$case}");
                $tight += $exact->score->sheets === $bound ? 1 : 0;
                ++$solved;
            }
        }
        self::assertGreaterThan(20, $solved);
        self::assertGreaterThan($solved / 2, $tight, 'and mostly as high');
    }

    public function testItKnowsWhatScrapsCannotHold(): void
    {
        // Large pieces fit no scrap, and with each of them a sheet has room for little else.
        $pieces = [new Piece('large', 100, 120, 6, true, ''), new Piece('small', 30, 40, 40, true, '')];
        $stocks = [new Stock('letter', 136, 176, 30, '', true), new Stock('scrap', 60, 40, 12, '', false)];
        self::assertSame(6, (new ValueBound($pieces, $stocks))->of(9, 4_000_000));
        self::assertSame(0, (new ValueBound($pieces, $stocks))->of(9, 0), 'nothing may be computed');
        self::assertGreaterThanOrEqual(1, (new ValueBound($pieces, $stocks))->of(1, 4_000_000), 'no more is asked for');
        self::assertSame(0, (new ValueBound($pieces, []))->of(9, 1_000_000), 'no stock, no sheets');
    }

    /** A job of 80 pieces and 200 scraps that areas and sides alone do not settle: ten sheets, of which they know six. */
    public function testItKnowsMoreThanAreasAndSides(): void
    {
        mt_srand(80_200);
        $pieces = $stocks = [];
        for ($job = 0; $job < 3; ++$job) {
            $pieces = [];
            for ($left = 80; $left > 0;) {
                $quantity = min($left, mt_rand(1, 16));
                $left -= $quantity;
                $pieces[] = new Piece('p'.$left, mt_rand(16, 90), mt_rand(16, 100), $quantity, mt_rand(0, 3) > 0, '');
            }
            $stocks = [new Stock('letter', 136, 176, 100, '', true)];
            for ($scrap = 0; $scrap < 200; ++$scrap) {
                $stocks[] = new Stock('s'.$scrap, mt_rand(8, 60), mt_rand(8, 80), 1, '', false);
            }
        }
        $others = max((new SheetBound())->of($pieces, $stocks), (new SideBound())->of($pieces, $stocks));
        $bound = (new ValueBound($pieces, $stocks))->of(10, 4_000_000);
        self::assertSame([6, 8], [$others, $bound]);
        [$plan, $least] = (new CutPlanner(seconds: 0.3))->plan($pieces, $stocks);
        self::assertGreaterThan($others, $least);
        self::assertLessThanOrEqual($plan->score->sheets, $least);
    }
}
