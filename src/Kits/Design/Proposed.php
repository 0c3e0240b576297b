<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Room\Catalogue\ThingLine;

/** Something that goes with a design, and why. */
final readonly class Proposed
{
    public function __construct(public ThingLine $thing, public string $why, public bool $isForBalance = false)
    {
    }
}
