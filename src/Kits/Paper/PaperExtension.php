<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Web\Measures;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Drawings and words of the paper pages. */
final class PaperExtension extends AbstractExtension
{
    public function __construct(private readonly PieceDrawing $piece, private readonly PaperWallDrawing $wall, private readonly Measures $measures)
    {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('seen_scrap', (new ScrapPhotoDrawing())->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('piece_scale', $this->piece->scale(...)),
            new TwigFunction('piece_drawing', $this->piece->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('paper_wall', $this->wall->shelves(...), ['is_safe' => ['html']]),
            new TwigFunction('piece_leaves', fn (PieceAnswer $answer): string => $answer->leaves($this->measures->lengths())),
            new TwigFunction('piece_why_not', fn (PieceMiss $miss): string => $miss->why($this->measures->lengths())),
        ];
    }
}
