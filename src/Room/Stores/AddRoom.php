<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Frame;
use App\Platform\Web\Measures;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Room\RoomLayout;

/** One more room, which measures as the first one does. */
final readonly class AddRoom
{
    public function __construct(private EntityManagerInterface $entities, private Frame $frame, private Measures $measures)
    {
    }

    public function __invoke(string $name): Room
    {
        $room = new Room($name, $this->measures->measure(), $this->frame->room()->timeZone);
        $room->arrange(new RoomLayout());
        $this->entities->persist($room);
        $this->entities->flush();

        return $room;
    }
}
