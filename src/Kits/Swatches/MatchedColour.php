<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use Lottel\Core\Colour\NamedColour;

/** A colour of a palette, and the swatch of the room that comes nearest to it; null where none is near. */
final readonly class MatchedColour
{
    public function __construct(public NamedColour $named, public ?Swatch $nearest, public ?float $off)
    {
    }

    public function hex(): string
    {
        return $this->named->colour->hex();
    }

    /** Whether nobody would tell them apart. */
    public function isSame(): bool
    {
        return null !== $this->off && $this->off < 1.0;
    }
}
