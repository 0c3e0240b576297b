<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Reference;

use Lottel\Core\Cutting\CutPlan;
use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\PatternTable;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\SheetBound;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Cutting\SideBound;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Cut plans against every possible cut on small grids, and against what the trade gets out of a sheet. */
final class CuttingReferenceTest extends TestCase
{
    /** @var array<string, bool> */
    private array $fits = [];

    /**
     * What a sheet gives; common practice, no source. Sizes in eighths of an inch: letter is 68 × 88.
     *
     * @return iterable<string, array{int, int, int, int, int}>
     */
    public static function yields(): iterable
    {
        yield 'four A2 panels from a letter sheet' => [34, 44, 68, 88, 4];
        yield 'two top-fold A2 bases from a letter sheet' => [34, 88, 68, 88, 2];
        yield 'two side-fold A2 bases from a letter sheet' => [44, 68, 68, 88, 2];
        yield 'one slimline base from a letter sheet' => [56, 68, 68, 88, 1];
        yield 'four 6 × 6 from a layout sheet' => [48, 48, 96, 96, 4];
        yield 'sixteen 3 × 3 from a layout sheet' => [24, 24, 96, 96, 16];
        yield 'twelve 3 × 4 pocket cards from a layout sheet' => [24, 32, 96, 96, 12];
        yield 'four quarters of a 9 × 12 watercolour sheet' => [36, 48, 72, 96, 4];
    }

    #[DataProvider('yields')]
    public function testTradeYields(int $width, int $height, int $sheetWidth, int $sheetHeight, int $yield): void
    {
        foreach ([$yield, 3 * $yield] as $quantity) {
            $pieces = [new Piece('p', $width, $height, $quantity, true, '')];
            $stocks = [new Stock('s', $sheetWidth, $sheetHeight, 50, '', true)];
            [$plan, $bound] = (new CutPlanner())->plan($pieces, $stocks);
            self::assertSame(0, $plan->score->unplaced);
            self::assertSame(intdiv($quantity, $yield), $plan->score->sheets);
            self::assertSame($plan->score->sheets, $bound, 'and it is proven');
        }
        [$plan] = (new CutPlanner())->plan([new Piece('p', $width, $height, $yield + 1, true, '')], [new Stock('s', $sheetWidth, $sheetHeight, 50, '', true)]);
        self::assertSame(2, $plan->score->sheets, 'one more needs another sheet');
    }

    /** Sheets, scrap area and scraps opened of small random jobs, against trying all cuts and all ways to share the pieces out. */
    public function testSmallJobsAgreeWithExhaustiveSearch(): void
    {
        mt_srand(41);
        for ($case = 0; $case < 120; ++$case) {
            $pieces = [];
            for ($i = 0, $count = mt_rand(1, 4); $i < $count; ++$i) {
                $pieces[] = new Piece('p'.$i, mt_rand(1, 5), mt_rand(1, 5), 1, 0 === mt_rand(0, 1), '');
            }
            $stocks = [new Stock('sheet', 6, 7, 4, '', true)];
            for ($i = 0, $count = mt_rand(0, 2); $i < $count; ++$i) {
                $stocks[] = new Stock('scrap'.$i, mt_rand(2, 5), mt_rand(2, 5), 1, '', false);
            }
            [$plan, $bound] = (new CutPlanner())->plan($pieces, $stocks);
            $this->checkCuts($plan, new Trimmer());
            $best = $this->bestByTrying($pieces, $stocks);
            self::assertSame(
                $best,
                [$plan->score->unplaced, $plan->score->sheets, $plan->score->areaNotFromScraps, $plan->score->scrapAreaOpened],
                "case {$case}",
            );
            self::assertLessThanOrEqual($plan->score->sheets, $bound);
        }
    }

    /** The largest offcut beside pieces on one sheet, against trying every rectangle as one more piece. */
    public function testTheLargestOffcutAgreesWithExhaustiveSearch(): void
    {
        mt_srand(42);
        for ($case = 0; $case < 60; ++$case) {
            $pieces = [];
            for ($i = 0, $count = mt_rand(1, 3); $i < $count; ++$i) {
                $pieces[] = new Piece('p'.$i, mt_rand(1, 4), mt_rand(1, 4), 1, 0 === mt_rand(0, 1), '');
            }
            [$plan] = (new CutPlanner())->plan($pieces, [new Stock('sheet', 6, 7, 1, '', true)]);
            if (0 !== $plan->score->unplaced) {
                continue;
            }
            $largest = 0;
            for ($width = 1; $width <= 6; ++$width) {
                for ($height = 1; $height <= 7; ++$height) {
                    if ($width * $height > $largest && $this->fits([...$pieces, new Piece('offcut', $width, $height, 1, false, '')], 6, 7)) {
                        $largest = $width * $height;
                    }
                }
            }
            self::assertSame($largest, $plan->score->largestOffcut, "case {$case}");
        }
    }

    /** Sheets that were cut up by edge-to-edge cuts, with a little trimmed off, are put together again: known by construction. */
    public function testCutUpSheetsArePutTogetherAgain(): void
    {
        mt_srand(45);
        foreach ([[8, 1], [10, 1], [11, 1], [12, 1], [12, 2], [12, 2]] as [$count, $sheets]) {
            $pieces = [];
            for ($sheet = 0; $sheet < $sheets; ++$sheet) {
                foreach ($this->cutUp(136, 176, intdiv($count, $sheets)) as [$width, $height]) {
                    $pieces[] = new Piece('p'.\count($pieces), $width - mt_rand(0, 1), $height - mt_rand(0, 1), 1, 0 === mt_rand(0, 1), '');
                }
            }
            [$plan, $bound] = (new CutPlanner())->plan($pieces, [new Stock('letter', 136, 176, 9, '', true)]);
            $this->checkCuts($plan, new Trimmer());
            self::assertSame([0, $sheets, $sheets], [$plan->score->unplaced, $plan->score->sheets, $bound]);
        }
    }

    /** @return list<array{int, int}> */
    private function cutUp(int $width, int $height, int $count): array
    {
        $alongX = mt_rand(1, $width + $height) <= $width;
        $length = $alongX ? $width : $height;
        if (1 === $count || $length < 16) {
            return [[$width, $height]];
        }
        $at = mt_rand(8, $length - 8);
        $ones = mt_rand(1, $count - 1);

        return [
            ...$this->cutUp($alongX ? $at : $width, $alongX ? $height : $at, $ones),
            ...$this->cutUp($alongX ? $width - $at : $width, $alongX ? $height : $height - $at, $count - $ones),
        ];
    }

    /** Whatever the job and the trimmer, the cuts can be made, yield the pieces, and conserve the area (law 5). */
    public function testRandomJobsCanBeCut(): void
    {
        mt_srand(43);
        for ($case = 0; $case < 60; ++$case) {
            $trimmer = new Trimmer([null, 96, 68][mt_rand(0, 2)], [0, 1, 2][mt_rand(0, 2)]);
            $pieces = $stocks = [];
            for ($i = 0, $count = mt_rand(1, 12); $i < $count; ++$i) {
                $pieces[] = new Piece('p'.$i, mt_rand(4, 50), mt_rand(4, 50), mt_rand(1, 9), 0 !== mt_rand(0, 2), ['white', 'kraft'][mt_rand(0, 1)]);
            }
            foreach (['white', 'kraft'] as $paper) {
                $stocks[] = new Stock($paper, 68, 88, mt_rand(1, 20), $paper, true);
                $stocks[] = new Stock($paper.' scrap', mt_rand(10, 60), mt_rand(10, 60), mt_rand(1, 3), $paper, false);
            }
            [$plan, $bound] = (new CutPlanner($trimmer, 0.05))->plan($pieces, $stocks);
            $this->checkCuts($plan, $trimmer);
            self::assertLessThanOrEqual($plan->score->sheets, $bound);
            [$again] = (new CutPlanner($trimmer, 0.05))->plan($pieces, $stocks);
            self::assertEquals($plan, $again, 'the same job gives the same plan');
        }
    }

    /** The bound against the exhaustive number of sheets. */
    public function testTheBoundNeverPassesTheOptimum(): void
    {
        mt_srand(44);
        for ($case = 0; $case < 80; ++$case) {
            $pieces = [];
            for ($i = 0, $count = mt_rand(2, 4); $i < $count; ++$i) {
                $pieces[] = new Piece('p'.$i, mt_rand(2, 6), mt_rand(2, 6), 1, true, '');
            }
            $stocks = [new Stock('sheet', 6, 7, 4, '', true)];
            $best = $this->bestByTrying($pieces, $stocks);
            self::assertLessThanOrEqual($best[1], (new SheetBound())->of($pieces, $stocks));
            self::assertLessThanOrEqual($best[1], (new SideBound())->of($pieces, $stocks));
        }
    }

    /**
     * gcut1, a published guillotine instance with as many of each piece as one likes, value being area, no turning: optimum
     * 56460 (J. E. Beasley, “Algorithms for unconstrained two-dimensional guillotine cutting”, Journal of the Operational
     * Research Society 36, 1985). cgcut1, with limited numbers: optimum 244 (N. Christofides and C. Whitlock, Operations
     * Research 25, 1977), which the table must not go below. Both from memory.
     */
    public function testThePatternTableAgainstPublishedInstances(): void
    {
        $sizes = [[167, 184], [114, 118], [167, 152], [83, 140], [70, 86], [143, 166], [120, 160], [66, 148], [87, 141], [69, 165]];
        $pieces = array_map(static fn (array $size): Piece => new Piece(implode('x', $size), $size[0], $size[1], 1, false, ''), $sizes);
        $table = PatternTable::for($pieces, array_map(static fn (Piece $piece): int => $piece->area(), $pieces), 250, 250);
        self::assertSame(56460, $table?->valueOf(250, 250));
        $limited = array_map(static fn (array $size): Piece => new Piece(implode('x', $size), $size[0], $size[1], 1, false, ''), [
            [8, 4],
            [3, 7],
            [8, 2],
            [3, 4],
            [3, 3],
            [3, 2],
            [2, 1],
        ]);
        self::assertGreaterThanOrEqual(244, PatternTable::for($limited, [66, 35, 24, 17, 11, 8, 2], 15, 10)?->valueOf(15, 10));
    }

    /**
     * Middle-sized jobs against integer programming: every set of pieces that a sheet can give is a column, found by trying all
     * cuts; GLPK (Debian's glpk-utils, dev dependency) finds the fewest sheets that cover the demand.
     */
    public function testMiddleSizedJobsAgainstIntegerProgramming(): void
    {
        mt_srand(45);
        $equal = $jobs = 0;
        for ($case = 0; $case < 30; ++$case) {
            $pieces = [];
            for ($i = 0, $count = mt_rand(2, 3); $i < $count; ++$i) {
                $pieces[] = new Piece('p'.$i, mt_rand(2, 5), mt_rand(2, 5), mt_rand(4, 16), 0 === mt_rand(0, 1), '');
            }
            $fewest = $this->byIntegerProgramming($pieces, 7, 8);
            [$plan, $bound] = (new CutPlanner(seconds: 0.3))->plan($pieces, [new Stock('sheet', 7, 8, 60, '', true)]);
            self::assertSame(0, $plan->score->unplaced);
            self::assertGreaterThanOrEqual($fewest, $plan->score->sheets, "case {$case}: fewer than possible");
            self::assertLessThanOrEqual($fewest, $bound, "case {$case}: the bound is no bound");
            self::assertLessThanOrEqual($fewest + 1, $plan->score->sheets, "case {$case}");
            $equal += (int) ($fewest === $plan->score->sheets);
            ++$jobs;
        }
        self::assertGreaterThanOrEqual(0.9 * $jobs, $equal, "{$equal} of {$jobs} jobs with the fewest sheets");
    }

    /** @param list<Piece> $pieces */
    private function byIntegerProgramming(array $pieces, int $width, int $height): int
    {
        $columns = [[]];
        foreach ($pieces as $index => $piece) {
            $longer = [];
            foreach ($columns as $column) {
                for ($count = 0; $count <= intdiv($width * $height, $piece->area()); ++$count) {
                    $with = [...$column, ...array_fill(0, $count, $index)];
                    if (!$this->fits(array_map(static fn (int $at): Piece => $pieces[$at], $with), $width, $height)) {
                        break;
                    }
                    $longer[] = $with;
                }
            }
            $columns = $longer;
        }
        $columns = array_values(array_filter($columns));
        $names = array_map(static fn (int $at): string => 'x'.$at, array_keys($columns));
        $lines = ['Minimize', ' sheets: '.implode(' + ', $names), 'Subject To'];
        foreach ($pieces as $index => $piece) {
            $terms = [];
            foreach ($columns as $at => $column) {
                $count = \count(array_keys($column, $index, true));
                if ($count > 0) {
                    $terms[] = $count.' x'.$at;
                }
            }
            $lines[] = ' d'.$index.': '.implode(' + ', $terms).' >= '.$piece->quantity;
        }
        array_push($lines, 'General', ' '.implode("\n ", $names), 'End');
        [$model, $answer] = [tempnam(sys_get_temp_dir(), 'lp'), tempnam(sys_get_temp_dir(), 'lp')];
        file_put_contents($model, implode("\n", $lines)."\n");
        exec('glpsol --lp '.escapeshellarg($model).' --write '.escapeshellarg($answer).' 2>&1', $output, $status);
        self::assertSame(0, $status, implode("\n", $output));
        $isSolved = 1 === preg_match('/^s mip \d+ \d+ o ([\d.]+)/m', (string) file_get_contents($answer), $m);
        unlink($model);
        unlink($answer);
        self::assertTrue($isSolved, 'solved to optimality');

        return (int) round((float) ($m[1] ?? 0));
    }

    private function checkCuts(CutPlan $plan, Trimmer $trimmer): void
    {
        $made = $copies = [];
        foreach ($plan->used as $cut) {
            $stock = $plan->stocks[$cut->stock];
            $copies[$cut->stock] = ($copies[$cut->stock] ?? 0) + 1;
            self::assertLessThanOrEqual($stock->quantity, $copies[$cut->stock]);
            self::assertSame([$stock->width, $stock->height], [$cut->root->width, $cut->root->height]);
            $this->checkPart($cut->root, $trimmer);
            self::assertSame($stock->area(), array_sum(array_map(static fn (SheetPart $leaf): int => $leaf->area(), $cut->root->leaves())));
            foreach ($cut->root->leaves() as $leaf) {
                if (null !== $leaf->piece) {
                    $piece = $plan->pieces[$leaf->piece];
                    self::assertSame($stock->paper, $piece->paper);
                    self::assertSame($leaf->isTurned ? [$piece->height, $piece->width] : [$piece->width, $piece->height], [$leaf->width, $leaf->height]);
                    self::assertTrue($piece->mayTurn || !$leaf->isTurned);
                    $made[$leaf->piece] = ($made[$leaf->piece] ?? 0) + 1;
                }
            }
        }
        foreach ($plan->pieces as $index => $piece) {
            self::assertSame($piece->quantity, ($made[$index] ?? 0) + ($plan->unplaced[$index] ?? 0));
        }
    }

    private function checkPart(SheetPart $part, Trimmer $trimmer): void
    {
        if (null === $part->first || null === $part->second) {
            return;
        }
        [$length, $one, $other] = $part->isCutAlongX
            ? [$part->height, $part->first->width, $part->second->width]
            : [$part->width, $part->first->height, $part->second->height];
        self::assertTrue($trimmer->allows($length, $one, $other));
        self::assertSame($part->isCutAlongX ? $part->width : $part->height, $one + $other);
        self::assertGreaterThan(0, min($one, $other));
        $this->checkPart($part->first, $trimmer);
        $this->checkPart($part->second, $trimmer);
    }

    /**
     * Shares single pieces out over all stock in every way.
     *
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     *
     * @return array{int, int, int, int}
     */
    private function bestByTrying(array $pieces, array $stocks): array
    {
        $bins = [];
        foreach ($stocks as $stock) {
            for ($copy = 0; $copy < $stock->quantity; ++$copy) {
                $bins[] = $stock;
            }
        }
        $best = null;
        $shares = array_fill(0, \count($bins), []);
        $this->share($pieces, $bins, $shares, 0, [], $best);
        \assert(null !== $best);

        return $best;
    }

    /**
     * @param list<Piece> $open
     * @param list<Stock> $bins
     * @param array<int, list<Piece>> $shares
     * @param list<Piece> $left
     * @param array{int, int, int, int}|null $best
     */
    private function share(array $open, array $bins, array $shares, int $at, array $left, ?array &$best): void
    {
        if ($at === \count($open)) {
            $sheets = $opened = $area = 0;
            foreach ($shares as $bin => $share) {
                if ([] === $share) {
                    continue;
                }
                $bins[$bin]->isSheet ? ++$sheets : $opened += $bins[$bin]->area();
                foreach ($bins[$bin]->isSheet ? $share : [] as $piece) {
                    $area += $piece->area();
                }
            }
            foreach ($left as $piece) {
                $area += $piece->area();
            }
            $value = [\count($left), $sheets, $area, $opened];
            $best = null === $best || $value < $best ? $value : $best;

            return;
        }
        $wasEmptySheet = false;
        foreach ($bins as $bin => $stock) {
            if ($stock->isSheet && [] === $shares[$bin]) {
                if ($wasEmptySheet) {
                    continue;
                }
                $wasEmptySheet = true;
            }
            $with = [...$shares[$bin], $open[$at]];
            if ($this->fits($with, $stock->width, $stock->height)) {
                $this->share($open, $bins, [$bin => $with] + $shares, $at + 1, $left, $best);
            }
        }
        $this->share($open, $bins, $shares, $at + 1, [...$left, $open[$at]], $best);
    }

    /**
     * Whether guillotine cuts at whole numbers get all pieces out of a rectangle, by trying every cut and every way to divide
     * the pieces between the two parts.
     *
     * @param list<Piece> $pieces
     */
    private function fits(array $pieces, int $width, int $height): bool
    {
        if ([] === $pieces) {
            return true;
        }
        if (array_sum(array_map(static fn (Piece $piece): int => $piece->area(), $pieces)) > $width * $height) {
            return false;
        }
        $names = array_map(static fn (Piece $piece): string => $piece->width.'x'.$piece->height.($piece->mayTurn ? 't' : ''), $pieces);
        sort($names);
        $key = implode(' ', $names).' in '.$width.'x'.$height;

        return $this->fits[$key] ??= $this->tryAllCuts($pieces, $width, $height);
    }

    /** @param list<Piece> $pieces */
    private function tryAllCuts(array $pieces, int $width, int $height): bool
    {
        if (1 === \count($pieces)) {
            foreach ($pieces[0]->ways() as [$w, $h]) {
                if ($w <= $width && $h <= $height) {
                    return true;
                }
            }

            return false;
        }
        for ($share = 0; $share < 2 ** \count($pieces); ++$share) {
            $first = array_values(array_filter($pieces, static fn (int $index): bool => 0 !== ($share & (1 << $index)), \ARRAY_FILTER_USE_KEY));
            $second = array_values(array_filter($pieces, static fn (int $index): bool => 0 === ($share & (1 << $index)), \ARRAY_FILTER_USE_KEY));
            for ($at = 1; $at < $width; ++$at) {
                if ($this->fits($first, $at, $height) && $this->fits($second, $width - $at, $height)) {
                    return true;
                }
            }
            for ($at = 1; $at < $height; ++$at) {
                if ($this->fits($first, $width, $at) && $this->fits($second, $width, $height - $at)) {
                    return true;
                }
            }
        }

        return false;
    }
}
