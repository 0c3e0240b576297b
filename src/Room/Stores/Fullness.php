<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** Says which places are over-full: a matter of the things in them. */
interface Fullness
{
    /** @return list<int> places with no room left to grow */
    public function overFull(): array;
}
