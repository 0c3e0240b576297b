<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use Doctrine\DBAL\Connection;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Round\Stop;
use Symfony\Contracts\Service\ResetInterface;

/** The units and places of the room, as the room panel and the rounds need them. */
final class RoomReading implements ResetInterface
{
    private const MOST_INNER = 20;

    /** @var array<int, UnitRow>|null */
    private ?array $units = null;

    /** @var array<int, array<string, mixed>>|null as the database gives them, since a page needs few of them as places */
    private ?array $columns = null;

    /** @var array<int, FrontRow> */
    private array $places = [];

    /** @var array<int, int>|null */
    private ?array $placesInUnits = null;

    public function __construct(private readonly Connection $database)
    {
    }

    public function reset(): void
    {
        $this->units = $this->columns = $this->placesInUnits = null;
        $this->places = [];
    }

    /** @return array<int, UnitRow> the units by id, in walking order */
    public function units(): array
    {
        if (null === $this->units) {
            $this->units = [];
            foreach ($this->database->fetchAllAssociative("SELECT * FROM unit WHERE letters NOT LIKE '~%' ORDER BY walk, id") as $columns) {
                $unit = UnitRow::of(new Row($columns));
                $this->units[$unit->id] = $unit;
            }
        }

        return $this->units;
    }

    /** @throws Unknown if no unit in the room has these letters */
    public function unit(string $letters): UnitRow
    {
        foreach ($this->units() as $unit) {
            if ($unit->letters === strtoupper($letters)) {
                return $unit;
            }
        }
        throw Unknown::unit($letters);
    }

    /** @return array<int, FrontRow> all storage places by id */
    public function places(): array
    {
        $places = [];
        foreach (array_keys($this->columns()) as $id) {
            $places[$id] = $this->known($id);
        }

        return $places;
    }

    /** Returns a storage place that is in use, null where there is none. */
    public function place(int $id): ?FrontRow
    {
        return isset($this->columns()[$id]) ? $this->known($id) : null;
    }

    /** Returns how high the middle of the front is that is seen around a place, in millimetres above the floor; 0 where it has none. */
    public function heightOf(PlaceRow $place): int
    {
        $front = $this->place($this->frontOf($place->id) ?? 0)?->front;

        return $front?->middleAboveFloor($place->unitHeight, $place->aboveFloor)->wholeMillimetres() ?? 0;
    }

    /** @return array<int, int> how many inner places are behind a front that has some, by the place of the front */
    public function boxes(): array
    {
        $boxes = [];
        foreach (array_keys($this->columns()) as $id) {
            $front = $this->frontOf($id);
            if (null !== $front && $front !== $id) {
                $boxes[$front] = ($boxes[$front] ?? 0) + 1;
            }
        }

        return $boxes;
    }

    /** @return array<int, int> how many places a unit has, inner ones too, by unit */
    public function placesInUnits(): array
    {
        return $this->placesInUnits ??= array_count_values(
            array_map(static fn (mixed $unit): int => \is_int($unit) ? $unit : 0, array_column($this->columns(), 'unit_id')),
        );
    }

    /** Returns what is another text whenever the units or the places of the room have changed. */
    public function version(): string
    {
        return hash('xxh128', serialize([$this->units(), $this->columns()]));
    }

    /** Returns the place whose front is seen in the room, around any inner place. */
    public function frontOf(int $place): ?int
    {
        $columns = $this->columns();
        for ($depth = 0; $depth < self::MOST_INNER && isset($columns[$place]); ++$depth) {
            if (null !== $columns[$place]['front_x']) {
                return $place;
            }
            $parent = $columns[$place]['parent_id'];
            $place = \is_int($parent) ? $parent : 0;
        }

        return null;
    }

    /**
     * Returns the fronts that light up for places, each without a number.
     *
     * @param iterable<int|null> $places null where a thing has no home
     *
     * @return array<int, string>
     */
    public function lit(iterable $places): array
    {
        $lit = [];
        foreach ($places as $place) {
            $lit[] = [$place, ''];
        }

        return $this->litWith($lit);
    }

    /**
     * Returns the fronts that light up for places, each with what is written on it: of two for one front, the first.
     *
     * @param iterable<array{int|null, string}> $places
     *
     * @return array<int, string>
     */
    public function litWith(iterable $places): array
    {
        $lit = [];
        foreach ($places as [$place, $text]) {
            $front = null === $place ? null : $this->frontOf($place);
            if (null !== $front) {
                $lit[$front] ??= $text;
            }
        }

        return $lit;
    }

    /** @return array<int, int> how many different things are out of their home, by the place whose front is seen */
    public function outByFront(): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.home_id, count(*) AS out FROM place t CROSS JOIN balance b ON b.place_id = t.id CROSS JOIN item i ON i.id = b.item_id
             WHERE t.nature = 'tray' AND i.home_id IS NOT NULL GROUP BY i.home_id",
        );
        $out = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $front = $this->frontOf($row->int('home_id'));
            if (null !== $front) {
                $out[$front] = ($out[$front] ?? 0) + $row->int('out');
            }
        }

        return $out;
    }

    /** Returns a place as a stop of a round. */
    public function stop(int $place): ?Stop
    {
        $row = $this->place($place);
        $seen = $this->place($this->frontOf($place) ?? 0)?->front;

        return null === $row || null === $seen
            ? null
            : new Stop($place, $row->address, $this->units()[$row->unitId]->walk, $seen->y->ticks, $seen->x->ticks, $row->layer);
    }

    /**
     * Returns the places with what is in them and out of them, by unit.
     *
     * @return array<int, list<PlaceLine>>
     */
    public function placesByUnit(?int $unit = null): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT p.id, p.unit_id, p.parent_id, p.address, p.name, p.kind, p.says_kind, p.says_maker, p.says_theme, p.scheme, p.layer, p.front_x,
                    coalesce(b.things, 0) AS things, coalesce(o.out, 0) AS out
             FROM place p
             LEFT JOIN (SELECT place_id, count(*) AS things FROM balance GROUP BY place_id) b ON b.place_id = p.id
             LEFT JOIN (SELECT i.home_id, count(*) AS out FROM place t CROSS JOIN balance b ON b.place_id = t.id CROSS JOIN item i ON i.id = b.item_id
                        WHERE t.nature = 'tray' GROUP BY i.home_id) o ON o.home_id = p.id
             WHERE p.nature = 'storage' AND p.retired_at IS NULL AND (:unit IS NULL OR p.unit_id = :unit)",
            ['unit' => $unit],
        );
        $places = Row::each($rows, PlaceLine::of(...));
        usort($places, static fn (PlaceLine $a, PlaceLine $b): int => Address::compare($a->address, $b->address));
        $byUnit = [];
        foreach ($places as $place) {
            $byUnit[$place->unitId][] = $place;
        }

        return $byUnit;
    }

    private function known(int $id): FrontRow
    {
        return $this->places[$id] ??= FrontRow::of(new Row($this->columns()[$id]));
    }

    /** @return array<int, array<string, mixed>> by place */
    private function columns(): array
    {
        /** @var array<int, array<string, mixed>> $columns */
        $columns = $this->columns ?? $this->database->fetchAllAssociativeIndexed(
            "SELECT id AS k, id, unit_id, parent_id, address, name, kind, layer, front_x, front_y, front_width, front_height
             FROM place WHERE nature = 'storage' AND retired_at IS NULL ORDER BY unit_id, front_y, front_x, id",
        );

        return $this->columns = $columns;
    }
}
