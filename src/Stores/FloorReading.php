<?php

declare(strict_types=1);

namespace App\Stores;

use Doctrine\DBAL\Connection;
use Lottel\Core\Room\Footprint;
use Lottel\Core\Room\RoomLayout;

/** Rooms with their floor plans and what stands in them. Measures in millimetres. */
final readonly class FloorReading
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<int, array{id: int, name: string, layout: RoomLayout, units: list<array<string, mixed>>}> */
    public function rooms(): array
    {
        $units = [];
        foreach ($this->database->fetchAllAssociative("SELECT * FROM unit WHERE letters NOT LIKE '~%' ORDER BY walk, id") as $unit) {
            $units[(int) $unit['room_id']][] = $unit + ['footprint' => self::footprint($unit)];
        }
        $rooms = [];
        foreach ($this->database->fetchAllAssociative('SELECT id, name, plan FROM room ORDER BY id') as $room) {
            $id = (int) $room['id'];
            $rooms[$id] = ['id' => $id, 'name' => (string) $room['name'], 'layout' => RoomLayout::fromArray(json_decode((string) $room['plan'], true)), 'units' => $units[$id] ?? []];
        }

        return $rooms;
    }

    /** @param array<string, mixed> $unit */
    private static function footprint(array $unit): Footprint
    {
        return Footprint::ofTicks((int) $unit['id'], (string) $unit['letters'], (int) $unit['plan_x'], (int) $unit['plan_y'], (int) $unit['turn'], (int) $unit['width'], (int) $unit['height'], (int) $unit['depth'], (int) $unit['above_floor']);
    }
}
