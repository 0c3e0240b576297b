<?php

declare(strict_types=1);

namespace App\Stores;

use App\Kits\TrayRow;
use App\Rounds\StopRow;
use App\Rounds\TakeRow;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Filing\FilingPosition;
use Lottel\Core\Filing\FilingScheme;

/** What is in a place, where an item is, and where it stands there. */
final readonly class StoreReading
{
    private const STRIP = 13;

    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, mixed>|null */
    public function place(string $address): ?array
    {
        return $this->database->fetchAssociative(
            'SELECT p.*, u.letters, u.name AS unit_name, u.caution, u.height AS unit_height, u.above_floor, u.template, o.address AS parent_address FROM place p LEFT JOIN unit u ON u.id = p.unit_id LEFT JOIN place o ON o.id = p.parent_id WHERE p.address = ?',
            [$address],
        ) ?: null;
    }

    /** @return list<array<string, mixed>> the places that hold what belongs to a season: by what they say, or by most of what is in them */
    public function ofSeason(string $season): array
    {
        return $this->database->fetchAllAssociative(
            "SELECT p.address, p.name, count(b.item_id) AS things FROM place p LEFT JOIN balance b ON b.place_id = p.id LEFT JOIN item i ON i.id = b.item_id
             WHERE p.nature = 'storage' AND p.retired_at IS NULL AND p.id IN (SELECT id FROM place WHERE season = :season UNION SELECT b2.place_id FROM item i2 JOIN balance b2 ON b2.item_id = i2.id WHERE i2.season = :season)
             GROUP BY p.id HAVING p.season = :season OR sum(i.season = :season) * 2 > count(b.item_id) ORDER BY p.address LIMIT 12",
            ['season' => $season],
        );
    }

    /** @return array<string, mixed>|null */
    public function placeNumber(int $id): ?array
    {
        $address = $this->database->fetchOne('SELECT address FROM place WHERE id = ?', [$id]);

        return false === $address ? null : $this->place((string) $address);
    }

    /**
     * Returns the names of what is in the places of a unit, a few of each.
     *
     * @return array<int, list<string>>
     */
    public function namesByPlace(int $unit, int $most = 6): array
    {
        $names = [];
        foreach ($this->database->fetchAllAssociative('SELECT b.place_id, i.name FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id WHERE p.unit_id = ? ORDER BY i.name', [$unit]) as $row) {
            if (\count($names[(int) $row['place_id']] ?? []) < $most) {
                $names[(int) $row['place_id']][] = (string) $row['name'];
            }
        }

        return $names;
    }

    /** @return list<array<string, mixed>> the contents in filing order */
    public function contents(int $place, string $scheme): array
    {
        $rows = $this->database->fetchAllAssociativeIndexed('SELECT i.id AS k, i.*, b.quantity FROM balance b JOIN item i ON i.id = b.item_id WHERE b.place_id = ?', [$place]);
        $sorted = FilingScheme::parse($scheme)->sort(array_values(array_map(self::thing(...), $rows)));

        return array_map(static fn (Thing $thing): array => $rows[$thing->id], $sorted);
    }

    /** @return list<array<string, mixed>> the things whose home this is and that are on a tray */
    public function outOf(int $place): array
    {
        return $this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, t.address AS tray, k.id AS kit_id, k.name AS kit
             FROM item i JOIN balance b ON b.item_id = i.id JOIN place t ON t.id = b.place_id AND t.nature = 'tray' LEFT JOIN kit k ON k.tray_id = t.id
             WHERE i.home_id = ? ORDER BY i.name",
            [$place],
        );
    }

    /** @return list<array<string, mixed>> */
    public function inner(int $place): array
    {
        return $this->database->fetchAllAssociative('SELECT p.*, (SELECT count(*) FROM balance b WHERE b.place_id = p.id) AS things FROM place p WHERE p.parent_id = ? AND p.retired_at IS NULL ORDER BY p.layer, p.address', [$place]);
    }

    /** @return array{here: int, homes: int} how many things are in a place and its inner places, and how many have their home there */
    public function livesIn(int $place): array
    {
        $within = 'WITH RECURSIVE within(id) AS (SELECT ? UNION ALL SELECT p.id FROM place p JOIN within w ON p.parent_id = w.id)';

        return [
            'here' => (int) $this->database->fetchOne($within.' SELECT count(*) FROM balance b JOIN within w ON w.id = b.place_id', [$place]),
            'homes' => (int) $this->database->fetchOne($within.' SELECT count(*) FROM item i JOIN within w ON w.id = i.home_id', [$place]),
        ];
    }

    /** @return array<string, mixed>|null */
    public function item(int $id): ?array
    {
        $row = $this->database->fetchAssociative('SELECT i.*, h.address AS home, h.name AS home_name, h.scheme AS home_scheme FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id = ?', [$id]);

        return false === $row ? null : $row;
    }

    public function hasMoved(int $item): bool
    {
        return false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE item_id = ? LIMIT 1', [$item]);
    }

    /** @return list<array<string, mixed>> where an item is now, lost included */
    public function whereabouts(int $item): array
    {
        return $this->database->fetchAllAssociative(
            "SELECT b.quantity, p.id AS place_id, p.address, p.nature, k.id AS kit_id, k.name AS kit
             FROM balance b JOIN place p ON p.id = b.place_id LEFT JOIN kit k ON k.tray_id = p.id
             WHERE b.item_id = ? AND (p.nature <> 'outside' OR (p.address = 'lost' AND b.quantity > 0)) ORDER BY p.nature, p.address",
            [$item],
        );
    }

    /** @return list<array<string, mixed>> */
    public function companions(int $item): array
    {
        return $this->companionsOf([$item]);
    }

    /** @return list<array<string, mixed>> the kits that want an item or had it */
    public function kitsOf(int $item): array
    {
        return $this->database->fetchAllAssociative('SELECT k.id, k.name, k.stage, n.quantity, n.taken, n.state FROM need n JOIN kit k ON k.id = n.kit_id WHERE n.item_id = ? ORDER BY k.id DESC LIMIT 12', [$item]);
    }

    /** Returns where an item stands, or would stand, among what is in a place now. */
    public function position(int $item, int $place, string $scheme): FilingPosition
    {
        $row = $this->database->fetchAssociative('SELECT * FROM item WHERE id = ?', [$item]) ?: [];
        $others = $this->database->fetchAllAssociative('SELECT i.* FROM balance b JOIN item i ON i.id = b.item_id WHERE b.place_id = ?', [$place]);

        return FilingScheme::parse($scheme)->positionOf(self::thing($row), array_map(self::thing(...), $others));
    }

    /**
     * Returns the spines of a place around the marked things: what stands there in filing order, gaps for what comes.
     *
     * @param list<array<string, mixed>> $contents
     * @param list<int> $marked
     *
     * @return array{spines: list<array{name: string, marked: bool, gap: bool, colour: string|null}>, before: int, after: int}
     */
    public function strip(array $contents, array $marked): array
    {
        $first = null;
        foreach ($contents as $index => $row) {
            if (\in_array((int) $row['id'], $marked, true)) {
                $first = $index;
                break;
            }
        }
        $from = max(0, min(($first ?? 0) - intdiv(self::STRIP, 2), \count($contents) - self::STRIP));
        $shown = \array_slice($contents, $from, self::STRIP);
        $spines = array_map(static fn (array $row): array => [
            'name' => (string) $row['name'],
            'marked' => \in_array((int) $row['id'], $marked, true),
            'gap' => isset($row['tray']),
            'colour' => null === $row['colour'] ? null : (string) $row['colour'],
        ], $shown);

        return ['spines' => $spines, 'before' => $from, 'after' => max(0, \count($contents) - $from - \count($shown))];
    }

    /**
     * Returns the spines of a place with gaps for what of it is out.
     *
     * @param list<array<string, mixed>> $contents
     * @param list<array<string, mixed>> $out
     *
     * @return array{spines: list<array{name: string, marked: bool, gap: bool, colour: string|null}>, before: int, after: int}
     */
    public function withGaps(array $contents, array $out, string $scheme): array
    {
        $rows = [];
        foreach ([...$out, ...$contents] as $row) {
            $rows[(int) $row['id']] = $row;
        }
        $sorted = FilingScheme::parse($scheme)->sort(array_values(array_map(self::thing(...), $rows)));

        return $this->strip(array_map(static fn (Thing $thing): array => $rows[$thing->id], $sorted), []);
    }

    /**
     * Returns the spines of a place as they will stand once the coming things are back among them.
     *
     * @param list<array<string, mixed>> $contents
     * @param list<int> $coming items
     *
     * @return array{spines: list<array{name: string, marked: bool, gap: bool, colour: string|null}>, before: int, after: int}
     */
    public function incoming(array $contents, array $coming, string $scheme): array
    {
        $rows = [];
        foreach ([...$contents, ...$this->records($coming)] as $row) {
            $rows[(int) $row['id']] = $row;
        }
        $sorted = FilingScheme::parse($scheme)->sort(array_values(array_map(self::thing(...), $rows)));

        return $this->strip(array_map(static fn (Thing $thing): array => $rows[$thing->id], $sorted), $coming);
    }

    /**
     * Returns what a stop of a round needs to know of its place: the place, its contents, its spines with the stop's things
     * among them, and of each of these things where it stands and what goes with it.
     *
     * @param StopRow<TakeRow>|StopRow<TrayRow> $stop
     *
     * @return array<string, mixed>
     */
    public function atStop(StopRow $stop): array
    {
        $place = $this->place($stop->address) ?? [];
        $scheme = (string) ($place['scheme'] ?? 'name');
        $contents = $this->contents($stop->placeId, $scheme);
        $others = array_map(self::thing(...), $contents);
        $positions = $companions = [];
        foreach ($this->records($stop->items()) as $row) {
            $id = (int) $row['id'];
            $positions[$id] = FilingScheme::parse($scheme)->positionOf(self::thing($row), $others);
            $companions[$id] = [];
        }
        foreach ($this->companionsOf(array_keys($companions)) as $row) {
            $companions[(int) $row['of_id']][] = $row;
        }

        return ['place' => $place, 'contents' => $contents, 'strip' => $this->incoming($contents, $stop->items(), $scheme), 'positions' => $positions, 'companions' => $companions];
    }

    /** @return list<array<string, mixed>> */
    public function lost(): array
    {
        return $this->database->fetchAllAssociative(
            "SELECT i.id, i.name, i.maker, i.tracking, b.quantity, h.address AS home,
                    (SELECT max(m.at) FROM movement m WHERE m.item_id = i.id AND m.to_id = b.place_id) AS since,
                    (SELECT m.note FROM movement m WHERE m.item_id = i.id AND m.to_id = b.place_id ORDER BY m.id DESC LIMIT 1) AS note
             FROM place p JOIN balance b ON b.place_id = p.id AND b.quantity > 0 JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE p.nature = 'outside' AND p.address = 'lost' ORDER BY since DESC LIMIT 200",
        );
    }

    /** @return list<array<string, mixed>> */
    public function notFiled(): array
    {
        return $this->database->fetchAllAssociative(
            "SELECT i.id, i.name, i.maker, i.kind, i.tracking, b.quantity FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id WHERE p.nature = 'unfiled' ORDER BY i.name LIMIT 200",
        );
    }

    /**
     * @param list<int> $items
     *
     * @return list<array<string, mixed>>
     */
    private function records(array $items): array
    {
        $marks = implode(', ', array_fill(0, \count($items), '?'));

        return $this->database->fetchAllAssociative("SELECT * FROM item WHERE id IN ($marks)", $items);
    }

    /**
     * @param list<int> $items
     *
     * @return list<array<string, mixed>> what goes with them; `of_id` says with which
     */
    private function companionsOf(array $items): array
    {
        $marks = implode(', ', array_fill(0, \count($items), '?'));

        return $this->database->fetchAllAssociative(
            "SELECT c.of_id, c.is_together, i.id, i.name, i.kind, h.address AS home
             FROM (SELECT item_id AS of_id, other_id AS with_id, is_together FROM companion WHERE item_id IN ($marks) UNION ALL SELECT other_id, item_id, is_together FROM companion WHERE other_id IN ($marks)) c
             JOIN item i ON i.id = c.with_id LEFT JOIN place h ON h.id = i.home_id ORDER BY i.name",
            [...$items, ...$items],
        );
    }

    /** @param array<string, mixed> $row */
    public static function thing(array $row): Thing
    {
        /** @var list<string> $themes */
        $themes = json_decode((string) $row['themes'], true) ?: [];

        return new Thing((int) $row['id'], (string) $row['name'], (string) $row['maker'], Kind::from((string) $row['kind']), $themes, null === $row['colour'] ? null : (string) $row['colour'], (bool) ($row['is_multicolour'] ?? false), (string) ($row['collection'] ?? ''), self::area($row), (string) ($row['season'] ?? ''));
    }

    /** @param array<string, mixed> $row */
    private static function area(array $row): ?int
    {
        return null === ($row['width'] ?? null) || null === ($row['height'] ?? null) ? null : intdiv((int) $row['width'], 320) * intdiv((int) $row['height'], 320);
    }
}
