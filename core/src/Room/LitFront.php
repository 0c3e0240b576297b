<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** A front that is lit in a drawn row, in pixels from the row's left upper corner. */
final readonly class LitFront
{
    /**
     * @param int $unit id of its unit
     * @param string $stop number of the stop, empty for what is only lit
     */
    public function __construct(
        public int $id,
        public int $unit,
        public string $address,
        public string $stop,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
    ) {
    }

    public function middle(): float
    {
        return $this->y + $this->height / 2;
    }
}
