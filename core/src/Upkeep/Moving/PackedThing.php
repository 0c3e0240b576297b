<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Contents;

/** A thing that goes into a moving box, with all of it that lies in one place. */
final readonly class PackedThing
{
    /**
     * @param int $place where it lies
     * @param Box $size of one of it, as it is put away
     * @param float $uses how often a month it is fetched
     * @param bool $isApart whether it travels apart from paper: solvents and what is sprayed
     */
    public function __construct(
        public int $item,
        public int $place,
        public Contents $contents,
        public Box $size,
        public float $uses = 0.0,
        public bool $isApart = false,
    ) {
    }
}
