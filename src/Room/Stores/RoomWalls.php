<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Room\Standing;
use Lottel\Core\Room\Wall;

/** The walls of the room with what stands at them. */
final readonly class RoomWalls
{
    public function __construct(private RoomReading $room, private FloorReading $floor)
    {
    }

    /** @return list<Wall> in the order in which one walks past them */
    public function all(): array
    {
        $units = $this->room->units();
        $isOneRoom = \count(array_unique(array_map(static fn (UnitRow $unit): int => $unit->roomId, $units))) < 2;
        $rooms = $isOneRoom ? [] : $this->floor->rooms();

        return Wall::of(array_values(array_map(
            fn (UnitRow $unit): Standing => $this->standing($unit, isset($rooms[$unit->roomId]) ? ', '.$rooms[$unit->roomId]->name : ''),
            $units,
        )));
    }

    /** Returns the wall of that name, the first one where there is none; null in an empty room. */
    public function named(string $name): ?Wall
    {
        $walls = $this->all();
        foreach ($walls as $wall) {
            if (mb_strtolower($wall->name) === mb_strtolower($name)) {
                return $wall;
            }
        }

        return $walls[0] ?? null;
    }

    /** @param string $room what is said of the room behind the name of the wall, where there are several rooms */
    public function standing(UnitRow $unit, string $room = ''): Standing
    {
        return new Standing(
            $unit->id,
            $unit->letters,
            $unit->name,
            $unit->wall.$room,
            $unit->width->ticks,
            $unit->height->ticks,
            $unit->aboveFloor->ticks,
            $unit->footprint->along(),
            $unit->walk,
            $this->room->placesInUnits()[$unit->id] ?? 0,
        );
    }
}
