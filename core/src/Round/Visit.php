<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

use Lottel\Core\Furniture\Access;

/** A place to be visited on foot: its unit and where one stands before it, its height, layer, and what is handled there. */
final readonly class Visit
{
    /**
     * @param int $unit the unit's number
     * @param Point $stand where one stands, in millimetres on the floor plan
     * @param int $heightMm of its middle above the floor
     * @param int $layer how many layers lie on it
     * @param int $things how many things are taken or put there
     * @param bool $isLast whether something heavy or hot is among them: last on a pull, first on a return
     */
    public function __construct(
        public string $address,
        public int $unit,
        public Point $stand,
        public int $heightMm,
        public Access $access = Access::Drawer,
        public int $layer = 0,
        public int $things = 1,
        public bool $isLast = false,
    ) {
    }
}
