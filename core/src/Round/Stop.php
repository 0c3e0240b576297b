<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/**
 * A place to be visited. $walk is the unit's turn along the walls, $top and $left its front's spot in the unit in ticks,
 * $layer how many layers lie above it.
 */
final readonly class Stop
{
    public function __construct(
        public int $place,
        public string $address,
        public int $walk,
        public int $top,
        public int $left,
        public int $layer = 0,
    ) {
    }
}
