<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** A spot on the floor plan, in millimetres. */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }

    /** Returns the straight distance to another point, in millimetres. */
    public function distanceTo(self $other): float
    {
        return hypot($this->x - $other->x, $this->y - $other->y);
    }
}
