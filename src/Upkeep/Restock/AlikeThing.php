<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Room\Catalogue\ThingLine;

/** Something that is there already and like another thing, and in which way. */
final readonly class AlikeThing
{
    public function __construct(public ThingLine $thing, public string $why)
    {
    }
}
