<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** A unit as it stands or hangs at a wall. Lengths in ticks. */
final readonly class Standing
{
    /**
     * @param string $wall as people call it
     * @param int $along where it begins from the left, as one sees the wall
     * @param int $walk its number in the order in which one walks
     * @param int $places how many it has, inner ones too
     */
    public function __construct(
        public int $id,
        public string $letters,
        public string $name,
        public string $wall,
        public int $width,
        public int $height,
        public int $aboveFloor,
        public int $along,
        public int $walk,
        public int $places,
    ) {
    }

    /** The same unit as if it stood on the floor, to be drawn by itself. */
    public function onTheFloor(): self
    {
        return new self($this->id, $this->letters, $this->name, $this->wall, $this->width, $this->height, 0, $this->along, $this->walk, $this->places);
    }

    public function top(): int
    {
        return $this->aboveFloor + $this->height;
    }
}
