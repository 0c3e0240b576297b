<?php

declare(strict_types=1);

namespace App\Errands;

use App\Catalogue\Item;
use App\Kits\Kit;
use App\Stores\Place;

/** Something that is to be done on an errand that is about to begin. */
final readonly class PlannedTask
{
    private function __construct(
        public What $what,
        public ?Item $item,
        public Place $place,
        public ?Place $to = null,
        public bool $becomesHome = false,
        public ?int $chance = null,
        public ?Kit $kit = null,
    ) {
    }

    public static function move(Item $item, Place $from, Place $to): self
    {
        return new self(What::Carry, $item, $from, $to, true);
    }

    /** @param int $chance in thousandths */
    public static function look(Item $item, Place $in, int $chance): self
    {
        return new self(What::Look, $item, $in, chance: $chance);
    }

    /** It travels in a box from where it lies, and comes back to a place of that name. */
    public static function box(Item $item, Place $place): self
    {
        return new self(What::Carry, $item, $place, $place);
    }

    public static function home(Item $item, Kit $kit, Place $home): self
    {
        return new self(What::Home, $item, $home, kit: $kit);
    }

    public static function weed(Item $item, Place $in): self
    {
        return new self(What::Weed, $item, $in);
    }

    public static function count(Place $place): self
    {
        return new self(What::Count, null, $place);
    }
}
