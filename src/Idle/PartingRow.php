<?php

declare(strict_types=1);

namespace App\Idle;

use App\Catalogue\ThingLine;
use App\Errands\Fate;

/** Something that waits in a box until it is gone for good. */
final readonly class PartingRow
{
    public function __construct(public ThingLine $thing, public Fate $fate, public int $quantity, public \DateTimeImmutable $since)
    {
    }
}
