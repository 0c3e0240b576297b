<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Room\Catalogue\Item;
use App\Room\Stores\Place;

/** What a scanned label belongs to: a place or an item. */
final readonly class Scanned
{
    public function __construct(public ?Place $place, public ?Item $item)
    {
    }
}
