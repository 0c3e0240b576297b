<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Measure\LengthUnit;

/** The room's name, how it measures, and its clock. */
final readonly class RoomCard
{
    public function __construct(public string $name, public LengthUnit $measure, public string $timeZone)
    {
    }
}
