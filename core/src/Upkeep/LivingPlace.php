<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/** A place with the seconds that it takes to have a thing of it in hand and be back, and the room that it has. */
final readonly class LivingPlace
{
    /** @param int $room the most that all of its things together may measure, where it takes one in */
    public function __construct(public float $seconds, public int $room)
    {
    }
}
