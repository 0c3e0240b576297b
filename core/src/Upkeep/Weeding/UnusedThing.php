<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Weeding;

/** A thing that lies in a drawer, and for how many days it was not used; how much room it takes up. */
final readonly class UnusedThing
{
    /** @param float $litres with the air around it, as it lies */
    public function __construct(public int $item, public int $place, public int $days, public float $litres)
    {
    }
}
