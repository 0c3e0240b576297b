<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Unknown;
use App\Platform\Web\Input;
use Doctrine\ORM\EntityManagerInterface;

/** The rooms of the household, the first one first. */
final readonly class Rooms
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if there is no such room */
    public function one(int $id): Room
    {
        return $this->entities->find(Room::class, $id) ?? throw Unknown::room($id);
    }

    /** @return list<Room> */
    public function all(): array
    {
        return $this->entities->getRepository(Room::class)->findBy([], ['id' => 'ASC']);
    }

    /** Returns the room that a form names, or the first one. */
    public function chosen(Input $input): Room
    {
        $id = $input->id('room');
        $rooms = $this->all();
        foreach ($rooms as $room) {
            if ($room->id === $id) {
                return $room;
            }
        }

        return $rooms[0] ?? throw Unknown::room($id);
    }
}
