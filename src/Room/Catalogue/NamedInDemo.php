<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Story\Said;
use App\Room\Stores\Place;
use App\Room\Stores\Places;

/** The things and places that the demo room's story speaks of. */
final readonly class NamedInDemo
{
    public function __construct(private Items $items, private Places $places)
    {
    }

    public function thing(string $name): Item
    {
        return $this->items->named($name) ?? throw Said::unknown($name);
    }

    public function place(string $address): Place
    {
        return $this->places->at($address) ?? throw Said::unknown($address);
    }
}
