<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Room\RoomLayout;

/** Rooms with their floor plans and what stands in them. */
final readonly class FloorReading
{
    public function __construct(private Connection $database, private RoomReading $room)
    {
    }

    /** @return array<int, RoomPlan> by id */
    public function rooms(): array
    {
        $units = [];
        foreach ($this->room->units() as $unit) {
            $units[$unit->roomId][] = $unit;
        }
        $rooms = [];
        foreach ($this->database->fetchAllAssociative('SELECT id, name, plan FROM room ORDER BY id') as $columns) {
            $row = new Row($columns);
            $id = $row->int('id');
            $rooms[$id] = new RoomPlan($id, $row->text('name'), RoomLayout::fromArray(json_decode($row->text('plan'), true)), $units[$id] ?? []);
        }

        return $rooms;
    }
}
