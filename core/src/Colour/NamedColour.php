<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** A colour with its name, as palettes and swatch books hold it; the name may be empty. */
final readonly class NamedColour
{
    public function __construct(public string $name, public Srgb $colour)
    {
    }

    /** Returns its name, or the colour in words where it has none. */
    public function called(): string
    {
        return '' === $this->name ? Naming::inWords($this->colour) : $this->name;
    }
}
