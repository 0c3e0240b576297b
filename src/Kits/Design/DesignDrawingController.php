<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kits;
use App\Platform\Web\DrawingFile;
use App\Platform\Web\Page;
use Lottel\Core\Design\PageGrid;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The drawing of a kit's design, the front of a card or a page, to take along. */
final class DesignDrawingController extends Page
{
    public function __construct(private readonly Kits $kits, private readonly BoardReading $board, private readonly DrawingFile $file)
    {
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design/drawing.{type<svg|pdf>}', name: 'design_file', methods: ['GET'])]
    public function take(int $id, string $type, CardDrawing $card, PageDrawing $page): Response
    {
        $kit = $this->kits->one($id);
        $board = $this->board->of($kit);
        $drawing = match (true) {
            null === $board => null,
            $board->design->form->hasLayers() => $card->drawn($board),
            $board->design->form->hasBlocks() => $page->drawn($board, PageGrid::step($this->measures->measure())),
            default => null,
        };

        return $this->file->answer($drawing ?? throw $this->createNotFoundException('There is no drawing.'), $type, $kit->name, \sprintf('kit-%d-design', $id));
    }
}
