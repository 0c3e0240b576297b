<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Room\Catalogue\ThingLine;
use Lottel\Core\Upkeep\Better\BetterHome;

/** A move as its slip shows it. */
final readonly class MoveSlip
{
    /** @param string $letter names its arrow in the room */
    public function __construct(public string $letter, public BetterHome $move, public ThingLine $thing)
    {
    }
}
