<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Kits\Kits\Kit;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;

/** Something that is to be done on an errand that is about to begin. */
final readonly class PlannedTask
{
    private function __construct(
        public TaskKind $what,
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
        return new self(TaskKind::Carry, $item, $from, $to, true);
    }

    /** @param int $chance in thousandths */
    public static function look(Item $item, Place $in, int $chance): self
    {
        return new self(TaskKind::Look, $item, $in, chance: $chance);
    }

    /** It travels in a box from where it lies, and comes back to a place of that name. */
    public static function box(Item $item, Place $place): self
    {
        return new self(TaskKind::Carry, $item, $place, $place);
    }

    public static function home(Item $item, Kit $kit, Place $home): self
    {
        return new self(TaskKind::Home, $item, $home, kit: $kit);
    }

    public static function weed(Item $item, Place $in): self
    {
        return new self(TaskKind::Weed, $item, $in);
    }

    public static function count(Place $place): self
    {
        return new self(TaskKind::Count, null, $place);
    }
}
