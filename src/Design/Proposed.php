<?php

declare(strict_types=1);

namespace App\Design;

use App\Catalogue\ThingLine;

/** Something that goes with a design, and why. */
final readonly class Proposed
{
    public function __construct(public ThingLine $thing, public string $why, public bool $isForBalance = false)
    {
    }
}
