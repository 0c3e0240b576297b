<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Web\Measures;
use App\Platform\Web\Pdf;
use Lottel\Core\Cutting\SheetPlan;
use Lottel\Core\Measure\Length;

/** How a kit's sheets are cut, one a page: in true size on a page that is as large, or to fit a page of the room's usual size. */
final readonly class PlanPdf
{
    private const MARGIN = 16.0;
    private const MOST_PAGES = 60;

    public function __construct(private Measures $measures)
    {
    }

    public function set(CuttingTable $table, string $title, bool $isTrueSize): string
    {
        $pdf = Pdf::blank($title, $this->page());
        foreach (\array_slice($table->patterns(), 0, self::MOST_PAGES) as [$sheet, $many]) {
            $this->sheet($pdf, $table, $sheet, $many, $isTrueSize);
        }

        return $pdf->Output('cuts.pdf', 'S');
    }

    /** @return array{float, float} the room's usual page */
    private function page(): array
    {
        return $this->measures->isMetric() ? Pdf::A4 : Pdf::LETTER;
    }

    private function sheet(\TCPDF $pdf, CuttingTable $table, int $sheet, int $many, bool $isTrueSize): void
    {
        $row = $table->sheets[$sheet];
        $plan = SheetPlan::of($row->sheet()->root);
        $whole = static fn (int $ticks): float => $ticks / Length::TICKS_PER_MILLIMETRE;
        $page = $this->page();
        if ($isTrueSize) {
            $page = [max(90.0, $whole($plan->width) + 2 * self::MARGIN), $whole($plan->height) + 2 * self::MARGIN + 10];
        }
        $pdf->AddPage($page[0] > $page[1] ? 'L' : 'P', $page);
        $scale = $isTrueSize ? 1.0 : min(1.0, ($page[0] - 2 * self::MARGIN) / $whole($plan->width), ($page[1] - 2 * self::MARGIN - 10) / $whole($plan->height));
        $mm = static fn (int $ticks): float => $ticks / Length::TICKS_PER_MILLIMETRE * $scale;
        [$left, $top] = [self::MARGIN, self::MARGIN + 10];
        $this->said(
            $pdf,
            ($many > 1 ? $many.' × ' : '').
                $row->item->name.
                ', '.
                ($isTrueSize ? 'true size' : \sprintf('at %d %% of its size', (int) round(100 * $scale))),
            $left,
            8,
            11,
            'B',
        );
        foreach ($plan->parts as ['x' => $x, 'y' => $y, 'part' => $part]) {
            [$across, $down] = [$mm($part->width), $mm($part->height)];
            $pdf->Rect(
                $left + $mm($x),
                $top + $mm($y),
                $across,
                $down,
                'DF',
                ['all' => ['width' => 0.15, 'color' => [34, 48, 58]]],
                null === $part->piece ? [243, 240, 232] : [220, 235, 229],
            );
            $name = null === $part->piece ? '' : $table->pieces[$part->piece]->name;
            $this->centred($pdf, $name, $left + $mm($x), $top + $mm($y) + $down / 2 - 5, $across);
            $this->centred($pdf, $this->number($part->width).' × '.$this->number($part->height), $left + $mm($x), $top + $mm($y) + $down / 2, $across);
        }
        $pdf->setLineStyle(['width' => 0.5, 'color' => [156, 58, 43]]);
        foreach ($plan->cuts as $cut) {
            [$x, $y, $length] = [$left + $mm($cut['x']), $top + $mm($cut['y']), $mm($cut['length'])];
            $pdf->Line($x, $y, $x + ($cut['isUpright'] ? 0 : $length), $y + ($cut['isUpright'] ? $length : 0));
        }
        foreach ($plan->cuts as $cut) {
            $this->said($pdf, (string) $cut['number'], $left + $mm($cut['x']) + 0.8, $top + $mm($cut['y']) + 0.3, 8, 'B');
        }
        $pdf->Rect($left, $top, $mm($plan->width), $mm($plan->height), 'D', ['all' => ['width' => 0.4, 'color' => [34, 48, 58]]]);
        $this->said($pdf, $this->number($plan->width), $left + $mm($plan->width) / 2, $top - 6, 9);
        $this->said($pdf, $this->number($plan->height), 3, $top + $mm($plan->height) / 2, 9);
    }

    private function centred(\TCPDF $pdf, string $text, float $x, float $y, float $width): void
    {
        $pdf->setFont('dejavusans', '', 9);
        $room = $pdf->GetStringWidth($text);
        if ('' !== $text && $room + 1 < $width) {
            $this->said($pdf, $text, $x + ($width - $room) / 2, $y, 9);
        }
    }

    private function said(\TCPDF $pdf, string $text, float $x, float $y, float $points, string $style = ''): void
    {
        $pdf->setFont('dejavusans', $style, $points);
        $pdf->Text($x, $y, $text);
    }

    private function number(int $ticks): string
    {
        return $this->measures->lengths()->number(Length::ofTicks($ticks));
    }
}
