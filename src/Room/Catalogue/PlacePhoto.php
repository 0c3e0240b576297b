<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** The photo of an open place, seen from above with its front at the bottom, and the things that were named in it. */
final readonly class PlacePhoto
{
    /** @param list<SpottedThing> $things */
    public function __construct(public string $address, public string $photo, public int $width, public int $height, public array $things)
    {
    }

    /**
     * Returns the photo with only some of its things named.
     *
     * @param list<int> $items
     */
    public function only(array $items): self
    {
        $things = array_filter($this->things, static fn (SpottedThing $thing): bool => \in_array($thing->id, $items, true));

        return new self($this->address, $this->photo, $this->width, $this->height, array_values($things));
    }
}
