<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** How many different things are in a place and its inner places, and how many have their home there. */
final readonly class Lodgers
{
    public function __construct(public int $here, public int $homes)
    {
    }

    public function isNobody(): bool
    {
        return 0 === $this->here && 0 === $this->homes;
    }
}
