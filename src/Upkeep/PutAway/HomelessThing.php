<?php

declare(strict_types=1);

namespace App\Upkeep\PutAway;

use App\Room\Catalogue\ThingLine;
use Lottel\Core\Upkeep\PutAway\Homeless;

/** A thing without a home, as a page shows it. */
final readonly class HomelessThing
{
    public function __construct(public Homeless $homeless, public ThingLine $thing, public string $where)
    {
    }
}
