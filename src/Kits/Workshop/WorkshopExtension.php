<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\Kits;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Whether a kit is for a class, on the kit's own page. */
final class WorkshopExtension extends AbstractExtension
{
    public function __construct(private readonly Workshops $workshops, private readonly Kits $kits)
    {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('class_of', fn (int $kit): ?Workshop => $this->workshops->of($this->kits->one($kit)))];
    }
}
