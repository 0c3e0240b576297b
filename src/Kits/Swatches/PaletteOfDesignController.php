<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use App\Kits\Design\BoardReading;
use App\Kits\Kits\Kits;
use App\Platform\Web\Page;
use Lottel\Core\Colour\FrontColour;
use Lottel\Core\Colour\NamedColour;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The colours of a kit's design as a palette. */
final class PaletteOfDesignController extends Page
{
    public function __construct(private readonly Kits $kits, private readonly BoardReading $board, private readonly PaletteFiles $files)
    {
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design/palette.{type<gpl|css|csv|svg|pdf>}', name: 'design_palette', methods: ['GET'])]
    public function take(int $id, string $type): Response
    {
        $kit = $this->kits->one($id);
        $colours = array_map(
            static fn (FrontColour $one): NamedColour => new NamedColour($one->name, $one->colour),
            $this->board->of($kit)->colours->colours ?? [],
        );
        if ([] === $colours) {
            throw $this->createNotFoundException('This kit has no design with colours yet.');
        }
        $content = $this->files->written($type, $kit->name, $colours, array_map(SwatchCell::ofPalette(...), $colours));

        return $this->download($content, PaletteFiles::TYPES[$type], \sprintf('kit-%d-palette.%s', $id, $type));
    }
}
