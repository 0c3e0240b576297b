<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use App\Platform\Web\Csv;
use App\Platform\Web\Measures;
use Lottel\Core\Colour\NamedColour;
use Lottel\Core\Colour\PaletteWriter;

/** A palette as a file of each kind, by the file's ending. */
final readonly class PaletteFiles
{
    public const TYPES = ['gpl' => 'text/plain; charset=utf-8', 'css' => 'text/css; charset=utf-8', 'csv' => 'text/csv; charset=utf-8',
        'svg' => 'image/svg+xml', 'pdf' => 'application/pdf'];

    /** What each is called, the one that most want first. */
    public const WORDS = [
        'pdf' => 'Swatches to print', 'svg' => 'Drawing (SVG)', 'gpl' => 'Palette (.gpl)', 'css' => 'Custom properties (CSS)', 'csv' => 'List (CSV)',
    ];

    public function __construct(private Measures $measures)
    {
    }

    /**
     * @param list<NamedColour> $colours
     * @param list<SwatchCell> $cells the same to print
     */
    public function written(string $type, string $name, array $colours, array $cells): string
    {
        return match ($type) {
            'gpl' => PaletteWriter::gpl($name, $colours),
            'css' => PaletteWriter::css($name, $colours),
            'csv' => Csv::file(PaletteForm::rows($colours)),
            'svg' => SwatchSheet::svg($name, $cells, $this->measures->page()),
            'pdf' => SwatchSheet::pdf($name, $cells, $this->measures->page()),
            default => throw new \LogicException($type),
        };
    }
}
