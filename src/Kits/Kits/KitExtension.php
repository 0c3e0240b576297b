<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** The kits that the page of a place or a thing offers. */
final class KitExtension extends AbstractExtension
{
    public function __construct(private readonly KitReading $kits, private readonly WantCollection $collections, private readonly TraysOut $trays)
    {
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
