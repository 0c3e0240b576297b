<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use Lottel\Core\Log\Tracking;
use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** A thing that the room has already. */
#[Exclude]
final readonly class KnownThing
{
    public function __construct(public int $id, public Tracking $tracking)
    {
    }
}
