<?php

declare(strict_types=1);

namespace App\Platform\Web;

/** Documents to print, in millimetres, with their fonts inside. */
final class Pdf
{
    private const TEXT_MARGIN = 18.0;

    public const LETTER = [215.9, 279.4];
    public const A4 = [210.0, 297.0];

    /**
     * Returns a text as a file: its title, then its lines, of which those that end with a colon are headings.
     *
     * @param list<string> $lines
     * @param array{float, float} $page width and height
     */
    public static function ofText(string $title, array $lines, array $page): string
    {
        $pdf = self::blank($title, $page, self::TEXT_MARGIN);
        $pdf->AddPage();
        $pdf->setFont('dejavusans', 'B', 15);
        $pdf->MultiCell(0, 9, $title, 0, 'L');
        foreach ($lines as $line) {
            $pdf->setFont('dejavusans', str_ends_with($line, ':') ? 'B' : '', 10.5);
            $pdf->MultiCell(0, 6.2, $line, 0, 'L');
        }

        return $pdf->Output('text.pdf', 'S');
    }

    /**
     * @param array{float, float} $page width and height
     * @param float|null $margin inside which text flows from page to page; null where all is placed by hand, and printed as large as it is
     */
    public static function blank(string $title, array $page, ?float $margin = null): \TCPDF
    {
        $pdf = new \TCPDF($page[0] > $page[1] ? 'L' : 'P', 'mm', $page, true, 'UTF-8');
        $pdf->setCreator('Lottel');
        $pdf->setTitle($title);
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setAutoPageBreak(null !== $margin, $margin ?? 0);
        $pdf->setMargins($margin ?? 0, $margin ?? 0, $margin ?? 0);
        if (null === $margin) {
            $pdf->setViewerPreferences(['PrintScaling' => 'None']);
        }

        return $pdf;
    }
}
