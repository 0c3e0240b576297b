<?php

declare(strict_types=1);

namespace App\Upkeep\Capacity;

use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use App\Room\Catalogue\ThingRow;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\PlaceRow;
use App\Room\Stores\RoomReading;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Homes\ChildReach;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Upkeep\Capacity\Filled;
use Lottel\Core\Upkeep\Capacity\Growth;
use Symfony\Component\Clock\ClockInterface;

/** How full and how heavy all places are; kept until something of the room changes. */
final readonly class CapacityReading
{
    public function __construct(
        private Connection $database,
        private PlaceReading $places,
        private RoomReading $room,
        private KeptUntilChanged $kept,
        private ClockInterface $clock,
    ) {
    }

    public function now(): FilledRoom
    {
        return $this->kept->get(FilledRoom::class, $this->clock->now()->format('Y-m-d'), $this->found(...));
    }

    private function found(): FilledRoom
    {
        [$contents, $things, $dangers] = $this->contents();
        $growth = $this->growth();
        $filled = $empty = [];
        $unmeasured = 0;
        foreach ($this->places->inRoom() as $place) {
            $capacity = $place->capacity($this->room->heightOf($place));
            if (!isset($contents[$place->id])) {
                $empty[] = $place->address;
            } elseif (null === $capacity) {
                ++$unmeasured;
            } else {
                $one = new Filled($capacity, $contents[$place->id]);
                $filled[] = new FilledPlace(
                    $place->id,
                    $place->address,
                    $place->title(),
                    $things[$place->id],
                    $one,
                    $one->untilFull($growth[$place->id] ?? null),
                    $this->dangers($place, $dangers[$place->id] ?? []),
                );
            }
        }
        usort($filled, static fn (FilledPlace $a, FilledPlace $b): int => $b->worst() <=> $a->worst());

        $isTold = static fn (FilledPlace $place): bool => $place->filled->isOver() || $place->filled->isNear() || $place->isGrowing() || [] !== $place->dangers;

        return new FilledRoom(array_values(array_filter($filled, $isTold)), $empty, $unmeasured);
    }

    /**
     * @return array{array<int, Contents>, array<int, int>, array<int, list<ThingRow>>} what is in each place or belongs there, how many things
     *                                                                                  that is, and which of them children should not reach
     */
    private function contents(): array
    {
        $rows = $this->database->iterateAssociative(
            "SELECT i.*, b.quantity, CASE WHEN p.nature = 'tray' THEN i.home_id ELSE b.place_id END AS belongs
             FROM balance b JOIN place p ON p.id = b.place_id AND p.nature IN ('storage', 'tray') JOIN item i ON i.id = b.item_id",
        );
        $contents = $things = $dangers = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $place = $row->intOrNull('belongs');
            if (null === $place) {
                continue;
            }
            $thing = ThingRow::of($row);
            $contents[$place] = ($contents[$place] ?? new Contents(0, 0, 0))->plus($thing->contents());
            $things[$place] = 1 + ($things[$place] ?? 0);
            if ([] !== $thing->hazards) {
                $dangers[$place][] = $thing;
            }
        }

        return [$contents, $things, $dangers];
    }

    /**
     * @param list<ThingRow> $things
     *
     * @return list<string> names of those that are a danger to children there
     */
    private function dangers(PlaceRow $place, array $things): array
    {
        $height = $this->room->heightOf($place);
        $isDanger = static fn (ThingRow $row): bool => [] !== ChildReach::endangers($row->hazards, $place->isChildSafe, $height);

        return array_values(array_map(static fn (ThingRow $row): string => $row->thing->name, array_filter($things, $isDanger)));
    }

    private function began(): ?\DateTimeImmutable
    {
        $first = $this->database->fetchOne('SELECT min(at) FROM movement');

        return \is_string($first) ? new \DateTimeImmutable($first, new \DateTimeZone('UTC')) : null;
    }

    /**
     * What comes into a place to stay, less what leaves it or is used up by its things.
     *
     * @return array<int, Growth> by place, of those that grow
     */
    private function growth(): array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $since = Growth::since($now, $this->began());
        $byDay = [];
        foreach ($this->changes($since) as $row) {
            $thing = ThingRow::of($row, 1);
            $litres = $row->int('quantity') * TypicalSize::contents($thing->thing->kind, $thing->tracking, 1, $thing->box, $thing->grams)->litres;
            $byDay[$row->int('place')][$row->int('day')] = ($byDay[$row->int('place')][$row->int('day')] ?? 0.0) + $litres;
        }

        return array_filter(
            array_map(static fn (array $litres): ?Growth => Growth::byDay($litres, $since, $now), $byDay),
            static fn (?Growth $one): bool => null !== $one,
        );
    }

    /** @return iterable<Row> things with how much of them came into a place, or left it, on a day since */
    private function changes(\DateTimeImmutable $since): iterable
    {
        $rows = $this->database->iterateAssociative(
            "SELECT i.*, c.place, CAST(julianday(c.at) - julianday(:since) AS INTEGER) AS day, sum(c.change) AS quantity FROM (
                 SELECT item_id, to_id AS place, at, quantity AS change FROM movement WHERE at >= :since AND +reason NOT IN (:passes)
                 UNION ALL
                 SELECT item_id, from_id, at, -quantity FROM movement WHERE at >= :since AND +reason NOT IN (:passes, :uses)
                 UNION ALL
                 SELECT u.item_id, h.home_id, u.at, -u.quantity FROM movement u JOIN item h ON h.id = u.item_id
                 WHERE u.at >= :since AND +u.reason IN (:uses)
             ) c JOIN item i ON i.id = c.item_id JOIN place p ON p.id = c.place AND p.nature = 'storage' GROUP BY c.place, c.item_id, day",
            ['since' => $since->format('Y-m-d H:i:s'), 'passes' => array_column(Growth::PASSES, 'value'), 'uses' => array_column(Growth::USES_UP, 'value')],
            ['passes' => ArrayParameterType::STRING, 'uses' => ArrayParameterType::STRING],
        );
        foreach ($rows as $columns) {
            yield new Row($columns);
        }
    }
}
