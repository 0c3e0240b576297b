<?php

declare(strict_types=1);

namespace App\Upkeep\Seasons;

use App\Room\Stores\PlaceRow;
use Lottel\Core\Upkeep\Better\HomePlace;

/** A place kept for the season at hand. */
final readonly class FrontPlace
{
    public function __construct(public PlaceRow $place, public HomePlace $dwelling, public int $things)
    {
    }

    /** How full it is in percent, with room to grow kept; null where nobody has measured it. */
    public function percent(): ?int
    {
        return null === $this->dwelling->capacity ? null : (int) round(100 * $this->dwelling->capacity->fullness($this->dwelling->contents));
    }
}
