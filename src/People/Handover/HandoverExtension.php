<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Platform\Security\Account;
use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Symfony\Bundle\SecurityBundle\Security;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** What the pages say of rounds that are handed over. */
final class HandoverExtension extends AbstractExtension implements ShowsOnPages
{
    public function __construct(private readonly Handovers $handovers, private readonly Security $security)
    {
    }

    public function onPages(): array
    {
        return [
            new PagePart('round of a kit', 'people/handover/_of_kit.html.twig'),
            new PagePart('round of upkeep', 'people/handover/_of_errand.html.twig'),
            new PagePart('head of every page', 'people/handover/_to_me.html.twig'),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('handover_of_kit', $this->handovers->ofKit(...)),
            new TwigFunction('handover_of_errand', $this->handovers->ofErrand(...)),
            new TwigFunction('handed_to_me', $this->toMe(...)),
        ];
    }

    /** @return list<HandoverRow> */
    private function toMe(): array
    {
        $me = $this->security->getUser();

        return $me instanceof Account ? $this->handovers->to((int) $me->id) : [];
    }
}
