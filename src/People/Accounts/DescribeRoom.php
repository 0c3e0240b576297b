<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Web\RoomAtHand;
use App\Room\Stores\Rooms;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Measure\LengthUnit;

/** How the household measures, what time it is in it, and what its first room is called. */
final readonly class DescribeRoom
{
    public function __construct(private Rooms $rooms, private EntityManagerInterface $entities, private RoomAtHand $atHand)
    {
    }

    public function __invoke(string $name, LengthUnit $measure, string $timeZone): void
    {
        foreach ($this->rooms->all() as $index => $room) {
            $room->measureIn($measure, $timeZone);
            $room->rename(0 === $index ? $name : $room->name);
        }
        $this->entities->flush();
        $this->atHand->reset();
    }
}
