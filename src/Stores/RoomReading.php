<?php

declare(strict_types=1);

namespace App\Stores;

use App\Steps\Unknown;
use Doctrine\DBAL\Connection;
use Lottel\Core\Furniture\Address;
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
        return $this->units ??= $this->database->fetchAllAssociativeIndexed("SELECT id AS k, * FROM unit WHERE letters NOT LIKE '~%' ORDER BY walk, id");
    }

    /**
     * Returns a unit by its letters.
     *
     * @return array<string, mixed>
     */
    public function unit(string $letters): array
    {
        return array_column($this->units(), null, 'letters')[strtoupper($letters)] ?? throw Unknown::unit($letters);
    }

    /** @return array<int, array<string, mixed>> all storage places by id */
    public function places(): array
    {
        return $this->places ??= $this->database->fetchAllAssociativeIndexed(
            "SELECT id AS k, id, unit_id, parent_id, address, name, kind, layer, front_x, front_y, front_width, front_height FROM place WHERE nature = 'storage' AND retired_at IS NULL ORDER BY unit_id, front_y, front_x, id",
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

    /**
     * Returns the fronts that light up for places, each without a number.
     *
     * @param iterable<mixed> $places ids, null where a thing has no home
     *
     * @return array<int, string>
     */
    public function lit(iterable $places): array
    {
        $lit = [];
        foreach ($places as $place) {
            $front = is_numeric($place) ? $this->frontOf((int) $place) : null;
            if (null !== $front) {
                $lit[$front] = '';
            }
        }

        return $lit;
    }

    /** @return array<int, int> how many different things are out of their home, by the place whose front is seen */
    public function outByFront(): array
    {
        $rows = $this->database->fetchAllKeyValue(
            "SELECT i.home_id, count(*) FROM place t CROSS JOIN balance b ON b.place_id = t.id CROSS JOIN item i ON i.id = b.item_id WHERE t.nature = 'tray' AND i.home_id IS NOT NULL GROUP BY i.home_id",
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

    /**
     * Returns the places with what is in them and out of them, by unit.
     *
     * @return array<int, list<array<string, mixed>>>
     */
    public function placesByUnit(?int $unit = null): array
    {
        $places = $this->database->fetchAllAssociative(
            "SELECT p.*, coalesce(b.things, 0) AS things, coalesce(o.out, 0) AS out FROM place p
             LEFT JOIN (SELECT place_id, count(*) AS things FROM balance GROUP BY place_id) b ON b.place_id = p.id
             LEFT JOIN (SELECT i.home_id, count(*) AS out FROM place t CROSS JOIN balance b ON b.place_id = t.id CROSS JOIN item i ON i.id = b.item_id WHERE t.nature = 'tray' GROUP BY i.home_id) o ON o.home_id = p.id
             WHERE p.nature = 'storage' AND p.retired_at IS NULL AND (:unit IS NULL OR p.unit_id = :unit)",
            ['unit' => $unit],
        );
        usort($places, static fn (array $a, array $b): int => Address::compare((string) $a['address'], (string) $b['address']));
        $byUnit = [];
        foreach ($places as $place) {
            $byUnit[(int) $place['unit_id']][] = $place;
        }

        return $byUnit;
    }
}
