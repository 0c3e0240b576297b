<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Lottel\Core\Picture\StandIn;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Pictures of things on pages. */
final class CatalogueExtension extends AbstractExtension implements ShowsOnPages
{
    public function __construct(
        private readonly SeenDrawing $seen,
        private readonly Prices $prices,
        private readonly LayFlat $flat,
        private readonly CatalogueState $state,
    ) {
    }

    public function onPages(): array
    {
        return [
            new PagePart('legend of the room', 'room/catalogue/_legend.html.twig', 20),
            new PagePart('end of the rail', 'room/catalogue/_rail_end.html.twig', 20),
            new PagePart('queue', 'room/catalogue/_queue.html.twig'),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('marks_drawing', $this->seen->marks(...), ['is_safe' => ['html']]),
            new TwigFunction('seen_place', $this->seen->place(...), ['is_safe' => ['html']]),
            new TwigFunction('seen_cut_out', $this->seen->cutOut(...), ['is_safe' => ['html']]),
            new TwigFunction('stand_in', StandIn::of(...)),
            new TwigFunction('prices_of', $this->prices->of(...)),
            new TwigFunction('flat_until', $this->flat->until(...)),
            new TwigFunction('catalogue_is_bare', $this->state->isBare(...)),
            new TwigFunction('not_filed', $this->state->notFiled(...)),
        ];
    }
}
