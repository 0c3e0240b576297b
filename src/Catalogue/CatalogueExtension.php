<?php

declare(strict_types=1);

namespace App\Catalogue;

use Lottel\Core\Picture\StandIn;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** Pictures of things on pages. */
final class CatalogueExtension extends AbstractExtension
{
    public function getFunctions(): array
    {
        return [
            new TwigFunction('thing_picture', ThingPicture::drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('stand_in', StandIn::of(...)),
        ];
    }
}
