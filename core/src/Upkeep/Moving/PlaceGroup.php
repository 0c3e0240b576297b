<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;

/** All that lives in one place, which moves to another place together. */
final readonly class PlaceGroup
{
    public function __construct(public HomePlace $from, public Household $all)
    {
    }

    /** Returns what tells its series from others: places that say the same, and are filed alike, are one series. */
    public function series(): string
    {
        return $this->from->label().$this->from->scheme;
    }
}
