<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** An order of stops with its length and a length that no order can beat, in millimetres. */
final readonly class PlannedRound
{
    /** @param list<int> $order indexes of the stops */
    public function __construct(public array $order, public float $length, public float $lowerBound, public bool $isOptimal)
    {
    }
}
