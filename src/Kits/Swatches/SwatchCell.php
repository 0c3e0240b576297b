<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use Lottel\Core\Colour\NamedColour;

/** A swatch to print: its colour, its name, and what stands below it. */
final readonly class SwatchCell
{
    public function __construct(public string $hex, public string $name, public string $below)
    {
    }

    public static function ofRoom(Swatch $swatch): self
    {
        return new self($swatch->hex(), $swatch->name(), ('' === $swatch->address ? 'no home' : $swatch->address).' · '.$swatch->hex());
    }

    public static function ofPalette(NamedColour $one): self
    {
        return new self($one->colour->hex(), $one->called(), $one->colour->hex());
    }
}
