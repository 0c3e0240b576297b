<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Room\DrawnRoom;

/** A drawing of walls without what changes from page to page: text, with the fronts that come between. */
final readonly class RoomSketch
{
    /**
     * @param list<string> $parts of which every second one is the number of a mark
     * @param list<FrontMark> $marks
     * @param list<array{float, float}> $offsets left upper corner of each row
     */
    public function __construct(public DrawnRoom $room, public array $parts, public array $marks, public array $offsets)
    {
    }
}
