<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** What comes first at a wall: things that should be back by now, or a place that is over-full. */
final readonly class NextOnWall
{
    /**
     * @param string $address of the place that it is about
     * @param int|null $kit whose things should be back; null where it is about the place itself
     */
    public function __construct(public string $address, public string $says, public string $due = '', public ?int $kit = null)
    {
    }
}
