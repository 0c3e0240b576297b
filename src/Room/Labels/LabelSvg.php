<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Lottel\Core\Label\Face;
use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\LabelMark;

/** Writes labels as SVG in true size. */
final readonly class LabelSvg
{
    public function __construct(private QrCode $codes)
    {
    }

    public function write(LabelDrawing $drawing, float $scale = 1.0): string
    {
        [$width, $height] = [$drawing->size->width, $drawing->size->height];
        $outline = $drawing->isRound
            ? \sprintf('<ellipse cx="%1$.1f" cy="%2$.1f" rx="%1$.1f" ry="%2$.1f" fill="#fff"/>', $width / 2, $height / 2)
            : \sprintf('<rect width="%d" height="%d" fill="#fff"/>', $width, $height);

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%smm" height="%smm" viewBox="0 0 %d %d">%s%s</svg>',
            $width * $scale / 10,
            $height * $scale / 10,
            $width,
            $height,
            $outline,
            implode('', array_map($this->mark(...), $drawing->marks)),
        );
    }

    private function mark(LabelMark $mark): string
    {
        return match ($mark->kind) {
            'text' => $this->text($mark),
            'code' => $this->code($mark),
            'patch' => \sprintf('<rect x="%.2f" y="%.2f" width="%.2f" height="%.2f" fill="%s"/>', $mark->x, $mark->y, $mark->width, $mark->height, $mark->fill),
            default => \sprintf('<path d="M%.1f %.1fV%.1f" stroke="#888" stroke-width="1.5" stroke-dasharray="6 6"/>', $mark->x, $mark->y, $mark->height),
        };
    }

    private function text(LabelMark $mark): string
    {
        if ('' === trim($mark->text)) {
            return '';
        }
        [$family, $weight] = match ($mark->face) {
            Face::Plate => ["'DejaVu Sans Mono', 'Courier Prime', monospace", 700],
            Face::Bold => ["'DejaVu Sans', Verdana, sans-serif", 700],
            Face::Plain => ["'DejaVu Sans', Verdana, sans-serif", 400],
        };

        return \sprintf(
            '<text x="%.2f" y="%.2f" font-family="%s" font-weight="%d" font-size="%.2f" textLength="%.2f" lengthAdjust="spacingAndGlyphs"%s>%s</text>',
            $mark->x,
            $mark->y,
            $family,
            $weight,
            $mark->height,
            $mark->width,
            $mark->isCentred ? ' text-anchor="middle"' : '',
            htmlspecialchars($mark->text, \ENT_QUOTES | \ENT_SUBSTITUTE | \ENT_XML1, 'UTF-8'),
        );
    }

    private function code(LabelMark $mark): string
    {
        $path = '';
        foreach ($this->codes->runs($mark->text) as [$row, $column, $length]) {
            $path .= "M{$column} {$row}h{$length}v1h-{$length}z";
        }
        $module = $mark->width / $this->codes->side($mark->text);

        return \sprintf('<path transform="translate(%.2f %.2f) scale(%.4f)" shape-rendering="crispEdges" d="%s"/>', $mark->x, $mark->y, $module, $path);
    }
}
