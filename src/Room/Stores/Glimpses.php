<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** Tells what is seen in places: a matter of the things in them. */
interface Glimpses
{
    /**
     * @param list<int> $units
     *
     * @return array<int, list<Glimpse>> by place, by name
     */
    public function in(array $units): array;
}
