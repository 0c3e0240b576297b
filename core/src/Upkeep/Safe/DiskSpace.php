<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Safe;

/** Whether there is room on the disk to go on: for the room to grow, and for a backup to be made and brought back. Common practice, no source. */
final readonly class DiskSpace
{
    private const LITTLE = 500_000_000;
    private const ROOMS = 3;

    /**
     * @param float $free in bytes
     * @param int $room what the room takes itself, in bytes
     */
    public function __construct(public float $free, private int $room)
    {
    }

    public function isTight(): bool
    {
        return $this->free < max(self::LITTLE, self::ROOMS * $this->room);
    }
}
