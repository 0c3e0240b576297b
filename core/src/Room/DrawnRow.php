<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** A wall, or a part of a long one, as it is drawn: units on a floor. In pixels. */
final readonly class DrawnRow
{
    /**
     * @param float $height down to the floor
     * @param bool $goesOn whether it goes on from the row before it
     * @param list<DrawnUnit> $units
     */
    public function __construct(public Wall $wall, public float $width, public float $height, public bool $goesOn, public array $units)
    {
    }
}
