<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Room\Catalogue\Item;

/** How much of a thing goes into what is made. */
final readonly class Taken
{
    public function __construct(public Item $item, public int $quantity)
    {
    }
}
