<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\Kits;
use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Whether a kit is for a class, on the kit's own page. */
final class WorkshopExtension extends AbstractExtension implements ShowsOnPages
{
    public function __construct(private readonly Workshops $workshops, private readonly Kits $kits)
    {
    }

    public function onPages(): array
    {
        return [
            new PagePart('kit', 'kits/workshop/_of_kit.html.twig', 30),
        ];
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('class_of', fn (int $kit): ?Workshop => $this->workshops->of($this->kits->one($kit)))];
    }
}
