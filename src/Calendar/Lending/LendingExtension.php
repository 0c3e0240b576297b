<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Whose a thing is, and who has it, on the pages that show it. */
final class LendingExtension extends AbstractExtension
{
    public function __construct(private readonly Loans $loans)
    {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('loans_of', $this->loans->of(...))];
    }
}
