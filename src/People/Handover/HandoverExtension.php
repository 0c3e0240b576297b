<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Platform\Security\Account;
use Symfony\Bundle\SecurityBundle\Security;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** What the pages say of rounds that are handed over. */
final class HandoverExtension extends AbstractExtension
{
    public function __construct(private readonly Handovers $handovers, private readonly Security $security)
    {
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
