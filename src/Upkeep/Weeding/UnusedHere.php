<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

/** How much idle stuff lies in a place. */
final readonly class UnusedHere
{
    /** @param list<int> $largest a few items, those that take up most first */
    public function __construct(public int $place, public int $many, public float $litres, public array $largest)
    {
    }
}
