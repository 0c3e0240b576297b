<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** A round on which things are carried from place to place: its stops, how many things are carried at once at the most, how long it is. */
final readonly class CarriedRound
{
    /** @param list<Visit> $visits */
    public function __construct(public array $visits, public int $mostCarried, public float $length)
    {
    }
}
