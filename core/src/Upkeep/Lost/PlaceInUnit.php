<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Lost;

use Lottel\Core\Furniture\Front;

/** Where a place is in its piece of furniture. */
final readonly class PlaceInUnit
{
    /**
     * @param int|null $within the place of which it is a part
     * @param Front|null $front as it is seen from the room; null where it is not
     * @param string $number its address without the letters of the unit
     * @param string $shape what the unit is, such as a chest
     */
    public function __construct(
        public int $place,
        public int $unit,
        public ?int $within,
        public ?Front $front,
        public string $number,
        public string $shape,
    ) {
    }

    /** Whether what belongs into one of the two may lie in the other by a hand's breadth: they touch, or are parts of one drawer. */
    public function isBeside(self $other): bool
    {
        $isPart = $other->within === $this->place || $this->within === $other->place;
        $isSibling = null !== $this->within && $this->within === $other->within;
        $touches = null !== $this->front && null !== $other->front && $this->front->touches($other->front);

        return $this->place !== $other->place && $this->unit === $other->unit && ($isPart || $isSibling || $touches);
    }

    /** Whether it is the same spot in another unit of the same shape. */
    public function mirrors(self $other): bool
    {
        return $this->unit !== $other->unit && $this->shape === $other->shape && $this->number === $other->number;
    }
}
