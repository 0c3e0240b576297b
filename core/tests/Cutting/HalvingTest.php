<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\CutTable;
use Lottel\Core\Cutting\CutYield;
use Lottel\Core\Cutting\Keep;
use Lottel\Core\Cutting\MissingPaper;
use Lottel\Core\Cutting\MissingReason;
use Lottel\Core\Cutting\PartFate;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\SheetInWork;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use Lottel\Core\Cutting\WorkPart;
use Lottel\Core\Cutting\YieldedPart;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;
use PHPUnit\Framework\TestCase;

/** Sizes of ISO 216; what a trimmer does is common practice, no source. */
final class HalvingTest extends TestCase
{
    private const MM = 320;

    public function testSixFoldedCardsOfA6TakeThreeSheetsOfA4(): void
    {
        $opened = $this->planned(
            [new Piece('base', 210 * self::MM, 148 * self::MM, 6, true, '')],
            new Stock('a4', 210 * self::MM, 297 * self::MM, 20, '', true),
        );
        self::assertCount(3, $opened);
        foreach ($opened as [, $sheet]) {
            self::assertSame([0 => 2], $sheet->root->pieces());
            $yield = CutYield::of(210 * self::MM, 297 * self::MM, $sheet->root->leaves(), Keep::usualIn(LengthUnit::Millimetre));
            self::assertSame(
                [[PartFate::Piece, 210 * self::MM, 297 * self::MM / 2, 2]],
                array_map(static fn (YieldedPart $part): array => [$part->fate, $part->width, $part->height, $part->quantity], $this->upright($yield->parts)),
                'each takes half a millimetre up, and nothing is left over',
            );
        }
    }

    public function testAQuarterOfA4AndALongHalfCountToo(): void
    {
        $a4 = new Stock('a4', 297 * self::MM, 210 * self::MM, 20, '', true);
        self::assertCount(2, $this->planned([new Piece('panel', 105 * self::MM, 148 * self::MM, 8, true, '')], $a4));
        self::assertCount(
            3,
            $this->planned(
                [new Piece('top-fold base', 105 * self::MM, 296 * self::MM, 6, false, '')],
                new Stock('a4', 210 * self::MM, 297 * self::MM, 20, '', true),
            ),
        );
    }

    public function testWhatIsNoHalfKeepsItsSize(): void
    {
        $opened = $this->planned(
            [
                new Piece('half', 148 * self::MM, 105 * self::MM, 2, false, ''),
                new Piece('other', 196 * self::MM, 105 * self::MM, 1, false, ''),
                new Piece('beside', 100 * self::MM, 105 * self::MM, 1, false, ''),
            ],
            new Stock('a4', 297 * self::MM, 210 * self::MM, 20, '', true),
            new Trimmer(),
        );
        $sides = [];
        foreach ($opened as [, $sheet]) {
            foreach ($sheet->root->leaves() as $leaf) {
                $sides[$leaf->piece ?? -1][] = $leaf->width;
            }
        }
        self::assertSame([196 * self::MM], $sides[1]);
        self::assertSame([100 * self::MM], $sides[2]);
    }

    public function testWhyAPaperWillNotDoIsTold(): void
    {
        $layout = new Stock('layout', 305 * self::MM, 305 * self::MM, 9, '', true);
        $panel = new Piece('panel', 140 * self::MM, 100 * self::MM, 14, true, '');
        $inches = new Trimmer(Usual::in(LengthUnit::Inch)->longestCut()->ticks, 0);
        $missing = MissingPaper::of($panel, [$layout], $inches);
        self::assertSame([MissingReason::TooLong, 64], [$missing->reason, $missing->by], '0.2 mm');
        self::assertSame(MissingReason::NotEnough, MissingPaper::of($panel, [$layout], $this->usual())->reason, 'a metric trimmer cuts it');
        self::assertSame(MissingReason::NoneIsFree, MissingPaper::of($panel, [new Stock('none', 999_999, 999_999, 0, '', true)], $this->usual())->reason);
        self::assertSame(
            MissingReason::TooSmall,
            MissingPaper::of($panel, [new Stock('scrap', 99 * self::MM, 200 * self::MM, 1, '', false)], $this->usual())->reason,
        );
        $narrow = new Stock('scrap', 141 * self::MM, 200 * self::MM, 1, '', false);
        self::assertSame(
            MissingReason::StripIsTooNarrow,
            MissingPaper::of(new Piece('p', 140 * self::MM, 199 * self::MM, 1, false, ''), [$narrow], $this->usual())->reason,
        );
        $long = MissingPaper::of(
            new Piece('p', 250 * self::MM, 550 * self::MM, 1, false, ''),
            [new Stock('poster', 300 * self::MM, 600 * self::MM, 1, '', true)],
            $this->usual(),
        );
        self::assertSame([MissingReason::TooLong, 240 * self::MM], [$long->reason, $long->by], 'the second cut is 550 mm long');
    }

    private function usual(): Trimmer
    {
        $usual = Usual::in(LengthUnit::Millimetre);

        return new Trimmer($usual->longestCut()->ticks, $usual->narrowestStrip()->ticks);
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return list<array{int, SheetInWork}>
     */
    private function planned(array $pieces, Stock $stock, ?Trimmer $trimmer = null): array
    {
        $planned = (new CutTable(new CutPlanner($trimmer ?? $this->usual(), 0.05)))->plan($pieces, [], [7 => $stock]);
        self::assertSame([], $planned->lacking);
        foreach ($planned->opened as [, $sheet]) {
            $area = array_sum(array_map(static fn (WorkPart $leaf): int => $leaf->width * $leaf->height, $sheet->root->leaves()));
            self::assertSame($stock->area(), $area, 'to the square tick');
        }

        return $planned->opened;
    }

    /**
     * @param list<YieldedPart> $parts
     *
     * @return list<YieldedPart>
     */
    private function upright(array $parts): array
    {
        return array_map(static fn (YieldedPart $part): YieldedPart => $part->width < $part->height
            ? new YieldedPart($part->fate, $part->height, $part->width, $part->quantity, $part->piece)
            : $part, $parts);
    }
}
