<?php

declare(strict_types=1);

namespace App\Reading;

use Doctrine\DBAL\Connection;
use Lottel\Core\Round\Stop;
use Symfony\Contracts\Service\ResetInterface;

/** The units and places of the room, as the room panel and the rounds need them. */
final class RoomReading implements ResetInterface
{
    /** @var array<int, array<string, mixed>>|null */
    private ?array $units = null;

    /** @var array<int, array<string, mixed>>|null */
    private ?array $places = null;

    public function __construct(private readonly Connection $database)
    {
    }

    public function reset(): void
    {
        $this->units = $this->places = null;
    }

    /** @return array<int, array<string, mixed>> the units by id, in walking order */
    public function units(): array
    {
        return $this->units ??= $this->database->fetchAllAssociativeIndexed('SELECT id AS k, * FROM unit ORDER BY walk, id');
    }

    /** @return array<int, array<string, mixed>> all storage places by id */
    public function places(): array
    {
        return $this->places ??= $this->database->fetchAllAssociativeIndexed(
            "SELECT id AS k, id, unit_id, parent_id, address, name, kind, layer, front_x, front_y, front_width, front_height FROM place WHERE nature = 'storage' ORDER BY unit_id, front_y, front_x, id",
        );
    }

    /** Returns the id of the place whose front is seen in the room, around any inner place. */
    public function frontOf(int $place): ?int
    {
        $places = $this->places();
        for ($depth = 0; $depth < 20 && isset($places[$place]); ++$depth) {
            if (null !== $places[$place]['front_x']) {
                return $place;
            }
            $place = (int) $places[$place]['parent_id'];
        }

        return null;
    }

    /** @return array<int, int> how many different things are out of their home, by the place whose front is seen */
    public function outByFront(): array
    {
        $rows = $this->database->fetchAllKeyValue(
            "SELECT i.home_id, count(*) FROM place t JOIN balance b ON b.place_id = t.id JOIN item i ON i.id = b.item_id WHERE t.nature = 'tray' AND i.home_id IS NOT NULL GROUP BY i.home_id",
        );
        $out = [];
        foreach ($rows as $place => $count) {
            $front = $this->frontOf((int) $place);
            if (null !== $front) {
                $out[$front] = ($out[$front] ?? 0) + (int) $count;
            }
        }

        return $out;
    }

    /** Returns a place as a stop of a round. */
    public function stop(int $place): ?Stop
    {
        $row = $this->places()[$place] ?? null;
        $front = $this->frontOf($place);
        if (null === $row || null === $front) {
            return null;
        }
        $seen = $this->places()[$front];

        return new Stop($place, (string) $row['address'], (int) $this->units()[(int) $row['unit_id']]['walk'], (int) $seen['front_y'], (int) $seen['front_x'], (int) $row['layer']);
    }

    /** @return list<array<string, mixed>> a unit's places with what is in them and out of them */
    public function placesOf(int $unit): array
    {
        return $this->database->fetchAllAssociative(
            "SELECT p.*, (SELECT count(*) FROM balance b WHERE b.place_id = p.id) AS things,
                    (SELECT count(*) FROM item i JOIN balance b ON b.item_id = i.id JOIN place t ON t.id = b.place_id AND t.nature = 'tray' WHERE i.home_id = p.id) AS out
             FROM place p WHERE p.unit_id = ? ORDER BY p.front_y IS NULL, p.front_y, p.front_x, p.id",
            [$unit],
        );
    }
}
