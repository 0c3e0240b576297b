<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** Walls as they are drawn, in the order in which one walks past them. */
final readonly class DrawnRoom
{
    /**
     * @param float $scale pixels to a tick
     * @param list<DrawnRow> $rows
     */
    public function __construct(public float $scale, public array $rows)
    {
    }
}
