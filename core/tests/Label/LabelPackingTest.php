<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Label;

use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelPacking;
use Lottel\Core\Label\LabelSize;
use PHPUnit\Framework\TestCase;

final class LabelPackingTest extends TestCase
{
    private static function a4(): LabelPacking
    {
        return new LabelPacking(2100, 2970);
    }

    public function testOneLabelLiesInTheCorner(): void
    {
        self::assertSame([[0, 50, 50]], self::a4()->spots([new LabelSize(700, 250)]));
        self::assertSame([], self::a4()->spots([]));
    }

    public function testLowLabelsGoBesideAHighOneWhereThereIsRoom(): void
    {
        $spots = self::a4()->spots([new LabelSize(700, 250), new LabelSize(1050, 1480), new LabelSize(700, 150)]);
        self::assertSame([[0, 1100, 50], [0, 50, 50], [0, 50, 1530]], $spots, 'in the order in which they were asked for');
    }

    public function testWhatIsLargerThanThePaperIsRefused(): void
    {
        self::assertFalse(self::a4()->holds(new LabelSize(2001, 100)));
        self::assertTrue(self::a4()->holds(new LabelSize(2000, 2870)));
        $this->expectException(InvalidLabel::class);
        self::a4()->spots([new LabelSize(100, 2901)]);
    }

    public function testLabelsOfARoomTakeFewPages(): void
    {
        $formats = [
            ...array_fill(0, 14, LabelFormat::Front),
            ...array_fill(0, 6, LabelFormat::BoxEnd),
            ...array_fill(0, 4, LabelFormat::Swatch),
            ...array_fill(0, 4, LabelFormat::DieBack),
            ...array_fill(0, 2, LabelFormat::Lid),
            LabelFormat::Contents,
        ];
        $spots = self::a4()->spots(array_map(static fn (LabelFormat $format): LabelSize => $format->size(), $formats));
        self::assertSame(2, \count(array_unique(array_column($spots, 0))), '31 labels of mixed sizes');
    }

    public function testNoneLiesOnAnotherOrBeyondTheMargins(): void
    {
        mt_srand(31);
        for ($round = 0; $round < 120; ++$round) {
            $paper = 0 === $round % 2 ? self::a4() : new LabelPacking(2159, 2794);
            $sizes = array_map(static fn (): LabelSize => new LabelSize(mt_rand(60, 1900), mt_rand(60, 1400)), range(1, mt_rand(1, 40)));
            $spots = $paper->spots($sizes);
            self::assertCount(\count($sizes), $spots);
            $area = 0;
            foreach ($spots as $a => [$page, $left, $top]) {
                $area += $sizes[$a]->width * $sizes[$a]->height;
                self::assertGreaterThanOrEqual(50, min($left, $top));
                self::assertLessThanOrEqual($paper->pageWidth - 50, $left + $sizes[$a]->width);
                self::assertLessThanOrEqual($paper->pageHeight - 50, $top + $sizes[$a]->height);
                foreach (\array_slice($spots, $a + 1, null, true) as $b => [$otherPage, $otherLeft, $otherTop]) {
                    $isApart = $page !== $otherPage
                        || $left + $sizes[$a]->width <= $otherLeft || $otherLeft + $sizes[$b]->width <= $left
                        || $top + $sizes[$a]->height <= $otherTop || $otherTop + $sizes[$b]->height <= $top;
                    self::assertTrue($isApart, "labels {$a} and {$b}");
                }
            }
            $pages = \count(array_unique(array_column($spots, 0)));
            self::assertGreaterThanOrEqual((int) ceil($area / ($paper->pageWidth * $paper->pageHeight)), $pages);
        }
    }
}
