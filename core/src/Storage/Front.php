<?php

declare(strict_types=1);

namespace Lottel\Core\Storage;

use Lottel\Core\Measure\Length;

/** The front of a place as seen in elevation, measured from the unit's left upper corner. */
final readonly class Front
{
    public function __construct(public Length $x, public Length $y, public Length $width, public Length $height)
    {
    }
}
