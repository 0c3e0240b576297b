<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Whose a thing is, and who has it, on the pages that show it. */
final class LendingExtension extends AbstractExtension implements ShowsOnPages
{
    public function __construct(private readonly Loans $loans)
    {
    }

    public function onPages(): array
    {
        return [
            new PagePart('who has a thing', 'calendar/lending/_who_has_it.html.twig'),
            new PagePart('where a thing is', 'calendar/lending/_whose.html.twig'),
            new PagePart('way home of a thing', 'calendar/lending/_back.html.twig'),
        ];
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('loans_of', $this->loans->of(...))];
    }
}
