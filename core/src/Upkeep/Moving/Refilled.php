<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

use Lottel\Core\Upkeep\Better\HomePlace;

/** Where all that lives in one place goes when its unit is replaced; to none where no place of the new unit takes it. */
final readonly class Refilled
{
    public function __construct(public PlaceGroup $group, public ?HomePlace $to)
    {
    }
}
