<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Room\Catalogue\ThingLine;
use App\Upkeep\Rounds\Fate;

/** Something that waits in a box until it is gone for good. */
final readonly class PartingRow
{
    public function __construct(public ThingLine $thing, public Fate $fate, public int $quantity, public \DateTimeImmutable $since)
    {
    }
}
