<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use App\Platform\Web\Pdf;
use App\Platform\Web\Svg;
use Lottel\Core\Words\TypeWidth;

/** Swatches to print, in millimetres: the colour as it is known, and beside it an empty box for the real ink or a snip of the paper. */
final readonly class SwatchSheet
{
    private const MARGIN = 12.0;
    private const COLUMNS = 3;
    private const CELL_HEIGHT = 30.0;
    private const PATCH = [28.0, 16.0];
    private const GAP = 2.0;
    private const POINTS_TO_MILLIMETRES = 0.3528;
    private const NAME_POINTS = 8.5;
    private const NOTE_POINTS = 7.0;

    /**
     * @param list<SwatchCell> $cells
     * @param array{float, float} $page
     */
    public static function pdf(string $title, array $cells, array $page): string
    {
        $pdf = Pdf::blank($title, $page);
        $pdf->setCellPaddings(0, 0, 0, 0);
        $perPage = self::COLUMNS * max(1, (int) floor(($page[1] - 2 * self::MARGIN) / self::CELL_HEIGHT));
        foreach ($cells as $at => $cell) {
            if (0 === $at % $perPage) {
                $pdf->AddPage();
            }
            [$x, $y] = self::corner($at % $perPage, $page[0]);
            $pdf->setLineStyle(['width' => 0.1, 'color' => [120, 120, 120]]);
            $pdf->Rect($x, $y, ...[...self::PATCH, 'DF', [], sscanf($cell->hex, '#%2x%2x%2x') ?? []]);
            $pdf->Rect($x + self::PATCH[0] + self::GAP, $y, ...[...self::PATCH, 'D']);
            foreach (self::lines($cell, $page[0]) as [$text, $down, $points, $isBold]) {
                $pdf->setFont('dejavusans', $isBold ? 'B' : '', $points);
                $pdf->Text($x, $y + $down - $points * self::POINTS_TO_MILLIMETRES, $text);
            }
        }

        return $pdf->Output('swatches.pdf', 'S');
    }

    /**
     * @param list<SwatchCell> $cells
     * @param array{float, float} $page of which only the width is used: a drawing has all swatches one below the other
     */
    public static function svg(string $title, array $cells, array $page): string
    {
        $height = 2 * self::MARGIN + self::CELL_HEIGHT * ceil(\count($cells) / self::COLUMNS);
        $svg = '';
        foreach ($cells as $at => $cell) {
            [$x, $y] = self::corner($at, $page[0]);
            foreach ([[$x, $cell->hex], [$x + self::PATCH[0] + self::GAP, 'none']] as [$left, $fill]) {
                $svg .= \sprintf(
                    '<rect x="%.2f" y="%.2f" width="%.2f" height="%.2f" fill="%s" stroke="#787878" stroke-width="0.1"/>',
                    $left,
                    $y,
                    self::PATCH[0],
                    self::PATCH[1],
                    $fill,
                );
            }
            foreach (self::lines($cell, $page[0]) as [$text, $down, $points, $isBold]) {
                $svg .= \sprintf(
                    '<text x="%.2f" y="%.2f" font-family="sans-serif" font-size="%.2f" font-weight="%d" fill="#22303a">%s</text>',
                    $x,
                    $y + $down,
                    $points * self::POINTS_TO_MILLIMETRES,
                    $isBold ? 700 : 400,
                    Svg::escape($text),
                );
            }
        }

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%.1fmm" height="%.1fmm" viewBox="0 0 %1$.1f %2$.1f"><title>%s</title>%s</svg>'."\n",
            $page[0],
            $height,
            Svg::escape($title),
            $svg,
        );
    }

    /** @return array{float, float} where the swatch begins */
    private static function corner(int $at, float $width): array
    {
        return [
            self::MARGIN + $at % self::COLUMNS * self::cellWidth($width),
            self::MARGIN + intdiv($at, self::COLUMNS) * self::CELL_HEIGHT,
        ];
    }

    private static function cellWidth(float $width): float
    {
        return ($width - 2 * self::MARGIN) / self::COLUMNS;
    }

    /** @return list<array{string, float, float, bool}> text, how far its foot is down, points, whether it is bold */
    private static function lines(SwatchCell $cell, float $width): array
    {
        $room = (self::cellWidth($width) - self::GAP) / self::POINTS_TO_MILLIMETRES;

        return [
            [self::fitting($cell->name, $room, self::NAME_POINTS), self::PATCH[1] + 4.2, self::NAME_POINTS, true],
            [self::fitting($cell->below, $room, self::NOTE_POINTS), self::PATCH[1] + 7.8, self::NOTE_POINTS, false],
        ];
    }

    private static function fitting(string $text, float $room, float $points): string
    {
        $short = $text;
        while ('' !== $short && TypeWidth::of($short, $points) > $room * 0.9) {
            $short = mb_substr($short, 0, -1);
        }

        return $short === $text ? $text : rtrim(mb_substr($short, 0, -1)).'…';
    }
}
