<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Label;

use Lottel\Core\Label\Face;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelLayout;
use Lottel\Core\Label\LabelMark;
use Lottel\Core\Label\LabelSheet;
use Lottel\Core\Label\LabelSize;
use Lottel\Core\Label\LabelText;
use Lottel\Core\Label\ScanCode;
use Lottel\Core\Label\Tape;
use PHPUnit\Framework\TestCase;

final class LabelTest extends TestCase
{
    /** Whatever stands on it, nothing of a label lies outside of it, and nothing on its code. */
    public function testEverythingStaysOnTheLabel(): void
    {
        mt_srand(3);
        $words = ['gulls', 'Lighthouse', 'Wishing you a safe harbour', 'Kelp & Comma', 'Éider', 'W', 'iiiiiiiii', str_repeat('M', 28), '', '漢字漢字'];
        $pick = static fn (): string => $words[mt_rand(0, \count($words) - 1)];
        for ($case = 0; $case < 600; ++$case) {
            $format = LabelFormat::cases()[$case % \count(LabelFormat::cases())];
            $text = new LabelText(
                ['C3', 'K2-4.b.c', 'A10', $pick()][mt_rand(0, 3)],
                array_map($pick, array_fill(0, mt_rand(0, 3), 0)),
                0 === mt_rand(0, 1) ? 'LOTTEL:P17-4' : null,
                '#1f5c6b',
                array_map($pick, array_fill(0, mt_rand(0, 80), 0)),
                0 === mt_rand(0, 1),
            );
            $size = 0 === mt_rand(0, 1) ? null : new LabelSize(mt_rand(300, 1200), mt_rand(120, 600));
            $drawing = (new LabelLayout())->draw($format, $text, LabelFormat::Contents === $format ? null : $size);
            $this->assertInside($drawing, $format->value.' '.$case);
        }
    }

    public function testTheAddressIsLargeAndTheCodeIsThere(): void
    {
        $drawing = (new LabelLayout())->draw(LabelFormat::Front, new LabelText('C3', ['stamps L–R'], 'LOTTEL:P17-4'));
        [$code, $head, $line] = $drawing->marks;
        self::assertSame(['code', 'LOTTEL:P17-4'], [$code->kind, $code->text]);
        self::assertSame('C3', $head->text);
        self::assertGreaterThan(100, $head->height, 'the address can be read from afar');
        self::assertGreaterThan($line->height, $head->height);
        $small = (new LabelLayout())->draw(LabelFormat::Front, new LabelText('C3', [], 'LOTTEL:P17-4'), new LabelSize(400, 100));
        $kinds = array_map(static fn (LabelMark $mark): string => $mark->kind, $small->marks);
        self::assertNotContains('code', $kinds, 'a code too small to be read is left out');
    }

    public function testALongNameIsSetSmallerThenShortened(): void
    {
        $layout = new LabelLayout();
        $long = $layout->draw(
            LabelFormat::DieBack,
            new LabelText(
                'A very long name of a die sheet that nobody can be expected to read on so small a label as this one is, at all',
                [],
                null,
                null,
                [],
                false,
            ),
        );
        self::assertStringEndsWith('…', $long->marks[0]->text);
        $short = $layout->draw(LabelFormat::DieBack, new LabelText('Nesting gulls', [], null, null, [], false));
        self::assertSame('Nesting gulls', $short->marks[0]->text);
    }

    public function testAContentsSheetSaysHowManyMoreThereAre(): void
    {
        $drawing = (new LabelLayout())->draw(
            LabelFormat::Contents,
            new LabelText('C3', ['stamps'], null, null, array_map(static fn (int $i): string => 'thing '.$i, range(1, 200))),
        );
        $listed = \count(array_filter($drawing->marks, static fn (LabelMark $mark): bool => str_starts_with($mark->text, 'thing ')));
        self::assertSame(\sprintf('and %d more', 200 - $listed), $drawing->marks[\count($drawing->marks) - 1]->text);
    }

    public function testTapeIsAsLongAsItsText(): void
    {
        foreach (Tape::cases() as $tape) {
            $short = (new LabelLayout())->tape(new LabelText('C3', ['stamps'], 'LOTTEL:P17-4'), $tape->height());
            $long = (new LabelLayout())->tape(new LabelText('C3.b.c', ['stamps L to R and some more'], 'LOTTEL:P17-4'), $tape->height());
            self::assertSame($tape->height(), $short->size->height);
            self::assertGreaterThan($short->size->width, $long->size->width);
            $this->assertInside($short, (string) $tape->value);
            $this->assertInside($long, (string) $tape->value);
        }
    }

    public function testSheetsAreTrueToTheTenthOfAMillimetre(): void
    {
        $sheet = new LabelSheet('own', 2100, 2970, 51, 102, 3, 7, new LabelSize(635, 381), 25, 3);
        self::assertSame([[0, 51, 102], [0, 711, 102], [0, 1371, 102], [0, 51, 486]], $sheet->spots(4));
        self::assertSame([[0, 1371, 2406], [1, 51, 102]], $sheet->spots(2, 21), 'the last one of the first page, then the next page');
        foreach (LabelSheet::usual() as $usual) {
            foreach ($usual->spots($usual->perPage()) as [$page, $x, $y]) {
                self::assertSame(0, $page);
                self::assertLessThanOrEqual($usual->pageWidth, $x + $usual->label->width);
                self::assertLessThanOrEqual($usual->pageHeight, $y + $usual->label->height);
            }
        }
    }

    public function testASheetThatCannotBeIsRefused(): void
    {
        $refused = 0;
        foreach ([[0, 0, 0, 3], [0, 0, 3, 0], [-1, 0, 3, 7], [500, 0, 3, 7], [0, 500, 3, 7], [0, 0, 4, 7], [0, 0, 3, 8]] as [$left, $top, $columns, $rows]) {
            try {
                new LabelSheet('own', 2100, 2970, $left, $top, $columns, $rows, new LabelSize(635, 381));
            } catch (InvalidLabel) {
                ++$refused;
            }
        }
        self::assertSame(7, $refused);
        $this->expectException(InvalidLabel::class);
        LabelSheet::usual()['a4-24']->spots(1, 25);
    }

    public function testACodeIsReadAndAMisreadOneIsNot(): void
    {
        mt_srand(5);
        for ($case = 0; $case < 500; ++$case) {
            $id = mt_rand(1, 999_999);
            $code = 0 === $case % 2 ? ScanCode::ofPlace($id) : ScanCode::ofItem($id);
            self::assertEquals($code, ScanCode::read(' '.strtolower((string) $code)."\n"));
            $wrong = (string) $code;
            $at = mt_rand(8, \strlen($wrong) - 3);
            $wrong[$at] = (string) ((((int) $wrong[$at]) + mt_rand(1, 9)) % 10);
            self::assertNull(ScanCode::read($wrong), 'one digit misread: '.$wrong);
        }
        foreach (
            [
                '',
                'C3',
                '4006381333931',
                'https://example.org/',
                'LOTTEL:P0-0',
                'LOTTEL:X1-7',
                "LOTTEL:P17-4'; DROP TABLE place",
                str_repeat('LOTTEL:P17-4', 500),
                "LOTTEL:P17-4\0",
            ] as $foreign
        ) {
            self::assertNull(ScanCode::read($foreign));
        }
    }

    public function testWidthsOfLetters(): void
    {
        self::assertEqualsWithDelta(120.4, Face::Plate->width('C3', 100), 0.1);
        self::assertGreaterThan(Face::Plain->width('iii', 100), Face::Plain->width('WWW', 100));
        self::assertSame(Face::Bold->width('a', 100), Face::Bold->width('á', 100));
    }

    private function assertInside(LabelDrawing $drawing, string $which): void
    {
        foreach ($drawing->marks as $mark) {
            [$left, $top, $right, $bottom] =
                'text' === $mark->kind
                    ? [
                        $mark->x - ($mark->isCentred ? $mark->width / 2 : 0),
                        $mark->y - 0.73 * $mark->height,
                        $mark->x + $mark->width / ($mark->isCentred ? 2 : 1),
                        $mark->y,
                    ]
                    : [$mark->x, $mark->y, $mark->x + $mark->width, $mark->y + $mark->height];
            self::assertGreaterThanOrEqual(-0.01, min($left, $top), $which.' '.$mark->text);
            self::assertLessThanOrEqual($drawing->size->width + 0.01, $right, $which.' '.$mark->text);
            self::assertLessThanOrEqual($drawing->size->height + 0.01, $bottom, $which.' '.$mark->text);
        }
    }
}
