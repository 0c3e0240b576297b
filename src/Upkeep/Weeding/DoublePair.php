<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Room\Catalogue\ThingLine;

/** Two things that are probably the same. */
final readonly class DoublePair
{
    public function __construct(public ThingLine $one, public ThingLine $other, public string $why)
    {
    }

    public function key(): string
    {
        return $this->one->id.'-'.$this->other->id;
    }
}
