<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** The kits that the page of a place or a thing offers. */
final class KitExtension extends AbstractExtension implements ShowsOnPages
{
    public function __construct(private readonly KitReading $kits, private readonly WantCollection $collections, private readonly TraysOut $trays)
    {
    }

    public function onPages(): array
    {
        return [
            new PagePart('rail', 'kits/kits/_rail.html.twig'),
            new PagePart('end of the rail', 'kits/kits/_rail_end.html.twig', 10),
            new PagePart('uses of a thing', 'kits/kits/_take_thing.html.twig'),
            new PagePart('place', 'kits/kits/_folders_in.html.twig'),
            new PagePart('what is ticked', 'kits/kits/_take_several.html.twig'),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('choosable_kits', $this->kits->choosable(...)),
            new TwigFunction('collections', $this->collections->all(...)),
            new TwigFunction('folder_home_of', $this->kits->folderHome(...)),
            new TwigFunction('folders_in', $this->kits->foldersIn(...)),
            new TwigFunction('trays_out', $this->trays->trays(...)),
            new TwigFunction('things_out', $this->trays->thingsOut(...)),
        ];
    }
}
