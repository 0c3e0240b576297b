<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Web\Frame;
use App\Web\Pdf;

/** A supply list on a page of the room's usual size. */
final readonly class SupplyPdf
{
    private const MARGIN = 18.0;

    public function __construct(private Frame $frame)
    {
    }

    public function set(SupplyList $list, string $of): string
    {
        $pdf = Pdf::blank($of, $this->frame->isMetric() ? Pdf::A4 : Pdf::LETTER, self::MARGIN);
        $pdf->AddPage();
        $pdf->setFont('dejavusans', 'B', 15);
        $pdf->MultiCell(0, 9, $of, 0, 'L');
        $pdf->setFont('dejavusans', '', 10.5);
        foreach (\array_slice(explode("\n", trim($list->text($of))), 1) as $line) {
            $pdf->setFont('dejavusans', str_ends_with($line, ':') ? 'B' : '', 10.5);
            $pdf->MultiCell(0, 6.2, $line, 0, 'L');
        }

        return $pdf->Output('supplies.pdf', 'S');
    }
}
