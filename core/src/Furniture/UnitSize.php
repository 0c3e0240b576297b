<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

use Lottel\Core\Measure\Length;

/** What of a unit's size is not as usual: outer sides, height above the floor, and the heights of its rows from the top. */
final readonly class UnitSize
{
    /** @param list<Length> $rowHeights as many as there are rows, or none for rows of one height */
    public function __construct(
        public ?Length $width = null,
        public ?Length $height = null,
        public ?Length $depth = null,
        public ?Length $aboveFloor = null,
        public array $rowHeights = [],
    ) {
    }
}
