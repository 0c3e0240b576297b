<?php

declare(strict_types=1);

namespace App\Labels;

use App\Catalogue\Item;
use App\Stores\Place;

/** What a scanned label belongs to: a place or an item. */
final readonly class Scanned
{
    public function __construct(public ?Place $place, public ?Item $item)
    {
    }
}
