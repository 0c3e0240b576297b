<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Seasons;

use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;

/** Things that change their home with the season: why, and where to. */
final readonly class Seasonal
{
    public function __construct(public Household $household, public HomePlace $from, public string $why, public ?HomePlace $to = null)
    {
    }

    public function goingTo(HomePlace $to): self
    {
        return new self($this->household, $this->from, $this->why, $to);
    }
}
