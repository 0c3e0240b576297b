<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Web\Pdf;
use Lottel\Core\Label\Face;
use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\LabelMark;
use Lottel\Core\Label\PlacedLabel;

/** Sets labels on the pages of a sheet as PDF, in true size, with its fonts inside. */
final readonly class LabelPdf
{
    public function __construct(private QrCode $codes)
    {
    }

    /**
     * @param list<PlacedLabel> $labels
     * @param bool $hasCutMarks whether an outline to cut along is printed
     */
    public function set(array $labels, int $pageWidth, int $pageHeight, bool $hasCutMarks): string
    {
        usort($labels, static fn (PlacedLabel $a, PlacedLabel $b): int => $a->page <=> $b->page);
        $pdf = $this->open($pageWidth, $pageHeight);
        $last = -1;
        foreach ($labels as $label) {
            if ($label->page !== $last) {
                $pdf->AddPage();
                $last = $label->page;
            }
            if ($hasCutMarks) {
                $this->outline($pdf, $label->drawing, $label->left / 10, $label->top / 10);
            }
            foreach ($label->drawing->marks as $mark) {
                $this->mark($pdf, $mark, $label->left, $label->top);
            }
        }

        return $pdf->Output('labels.pdf', 'S');
    }

    private function open(int $width, int $height): \TCPDF
    {
        $pdf = Pdf::blank('Labels', [$width / 10, $height / 10]);
        $pdf->setCellPaddings(0, 0, 0, 0);

        return $pdf;
    }

    private function outline(\TCPDF $pdf, LabelDrawing $drawing, float $left, float $top): void
    {
        $pdf->setLineStyle(['width' => 0.1, 'color' => [150, 150, 150]]);
        [$width, $height] = [$drawing->size->width / 10, $drawing->size->height / 10];
        if ($drawing->isRound) {
            $pdf->Ellipse($left + $width / 2, $top + $height / 2, $width / 2, $height / 2);
        } else {
            $pdf->Rect($left, $top, $width, $height);
        }
    }

    private function mark(\TCPDF $pdf, LabelMark $mark, float $left, float $top): void
    {
        [$x, $y] = [($left + $mark->x) / 10, ($top + $mark->y) / 10];
        if ('text' === $mark->kind) {
            $this->text($pdf, $mark, $x, $y);
        } elseif ('code' === $mark->kind) {
            $module = $mark->width / 10 / $this->codes->side($mark->text);
            foreach ($this->codes->runs($mark->text) as [$row, $column, $length]) {
                $pdf->Rect($x + $column * $module, $y + $row * $module, $length * $module, $module, 'F', [], [0, 0, 0]);
            }
        } elseif ('patch' === $mark->kind) {
            $pdf->Rect(
                $x,
                $y,
                $mark->width / 10,
                $mark->height / 10,
                'F',
                [],
                array_map(intval(...), array_map(hexdec(...), str_split(substr($mark->fill, 1), 2))),
            );
        } else {
            $pdf->Line($x, $y, $x, $y + $mark->height / 10, ['width' => 0.1, 'dash' => '0.6,0.6', 'color' => [136, 136, 136]]);
        }
    }

    private function text(\TCPDF $pdf, LabelMark $mark, float $x, float $y): void
    {
        if ('' === trim($mark->text)) {
            return;
        }
        [$family, $style] = match ($mark->face) {
            Face::Plate => ['dejavusansmono', 'B'],
            Face::Bold => ['dejavusans', 'B'],
            Face::Plain => ['dejavusans', ''],
        };
        $pdf->setFont($family, $style, $mark->height / 10 / 25.4 * 72);
        $left = $mark->isCentred ? $x - $mark->width / 20 : $x;
        $pdf->Text($left, $y, $mark->text, 0, false, true, 0, 0, 'L', false, '', 0, false, 'L');
    }
}
