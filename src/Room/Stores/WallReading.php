<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Room\Standing;
use Lottel\Core\Room\Wall;
use Lottel\Core\Words\Counted;

/** What there is to do at a wall. */
final readonly class WallReading
{
    private const MOST = 3;

    public function __construct(private Connection $database, private RoomReading $room, private RoomClock $roomClock, private Fullness $fullness)
    {
    }

    /** @return list<NextOnWall> a few, what is overdue first */
    public function next(Wall $wall): array
    {
        $units = array_map(static fn (Standing $unit): int => $unit->id, $wall->units);

        return \array_slice([...$this->overdue($units), ...$this->overFull($units)], 0, self::MOST);
    }

    /**
     * @param list<int> $units
     *
     * @return list<NextOnWall>
     */
    private function overdue(array $units): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT h.address, k.id AS kit_id, k.due_on, min(i.name) AS name, count(*) AS things
             FROM place t CROSS JOIN balance b ON b.place_id = t.id CROSS JOIN item i ON i.id = b.item_id CROSS JOIN place h ON h.id = i.home_id
             JOIN kit_holder o ON o.place_id = t.id JOIN kit k ON k.id = o.kit_id
             WHERE t.nature = 'tray' AND h.unit_id IN (?) AND k.due_on IS NOT NULL GROUP BY h.id, k.id ORDER BY k.due_on, h.address",
            [$units],
            [ArrayParameterType::INTEGER],
        );
        $overdue = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $due = $this->roomClock->due($row->text('due_on'));
            $things = $row->int('things');
            if ($due->isLate) {
                $overdue[] = new NextOnWall(
                    $row->text('address'),
                    1 === $things ? $row->text('name') : Counted::of($things, 'thing'),
                    $due->text,
                    $row->int('kit_id'),
                );
            }
        }

        return $overdue;
    }

    /**
     * @param list<int> $units
     *
     * @return list<NextOnWall>
     */
    private function overFull(array $units): array
    {
        $addresses = [];
        foreach ($this->fullness->overFull() as $id) {
            $place = $this->room->place($id);
            if (null !== $place && \in_array($place->unitId, $units, true)) {
                $addresses[] = $place->address;
            }
        }
        usort($addresses, Address::compare(...));

        return array_map(static fn (string $address): NextOnWall => new NextOnWall($address, 'no room left to grow'), $addresses);
    }
}
