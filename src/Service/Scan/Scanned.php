<?php

declare(strict_types=1);

namespace App\Service\Scan;

use App\Entity\Item;
use App\Entity\Place;

/** What a scanned label belongs to: a place or an item. */
final readonly class Scanned
{
    public function __construct(public ?Place $place, public ?Item $item)
    {
    }
}
