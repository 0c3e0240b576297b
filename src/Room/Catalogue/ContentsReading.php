<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Room\Stores\PlaceReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Filing\FilingScheme;

/** What is in a place, what is out of it, and how it stands there. */
final readonly class ContentsReading
{
    public function __construct(private Connection $database, private PlaceReading $places, private ItemReading $items, private PlacePhotoReading $photos)
    {
    }

    /** @return list<ThingRow> in filing order */
    public function of(int $place, FilingScheme $scheme): array
    {
        $rows = $this->database->fetchAllAssociative('SELECT i.*, b.quantity FROM balance b JOIN item i ON i.id = b.item_id WHERE b.place_id = ?', [$place]);
        $byId = [];
        foreach (Row::each($rows, ThingRow::of(...)) as $row) {
            $byId[$row->id] = $row;
        }

        return array_map(static fn (Thing $thing): ThingRow => $byId[$thing->id], $scheme->sort(self::things(array_values($byId))));
    }

    /** @return list<OutRow> the things whose home this is and that are on a tray */
    public function outOf(int $place): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, CASE WHEN t.kind = 'person' THEN t.name ELSE t.address END AS tray, k.id AS kit_id, k.name AS kit
             FROM item i JOIN balance b ON b.item_id = i.id JOIN place t ON t.id = b.place_id AND t.nature = 'tray' 
             LEFT JOIN kit_holder o ON o.place_id = t.id LEFT JOIN kit k ON k.id = o.kit_id
             WHERE i.home_id = ? ORDER BY +i.name",
            [$place],
        );

        return Row::each($rows, OutRow::of(...));
    }

    /** Returns what stands around a thing in the place where it is at home, gaps for what is out; the thing in its own gap where it is not there. */
    public function around(int $home, Thing $thing, FilingScheme $scheme): Strip
    {
        $contents = $this->of($home, $scheme);
        $missing = array_map(static fn (OutRow $row): Thing => $row->row->thing, $this->outOf($home));
        $things = self::each([...$missing, ...self::things($contents), $thing]);
        $there = array_map(static fn (ThingRow $row): int => $row->id, $contents);

        return Strip::around(
            $scheme->sort($things),
            [$thing->id],
            array_values(array_diff(array_map(static fn (Thing $one): int => $one->id, $things), $there)),
            Strip::SHORT,
        );
    }

    /**
     * Returns what a stop needs to know of its place.
     *
     * @param list<int> $items what is taken there or put there
     */
    public function atStop(string $address, int $place, array $items): AtStop
    {
        $row = $this->places->place($address);
        $scheme = $row?->scheme() ?? FilingScheme::parse('name');
        $contents = $this->of($place, $scheme);
        $others = self::things($contents);
        $concerned = $this->items->things($items);
        $positions = $companions = [];
        foreach ($concerned as $thing) {
            $positions[$thing->id] = $scheme->positionOf($thing, $others);
        }
        foreach ($this->items->companionsOf($items) as $companion) {
            $companions[$companion->of][] = $companion;
        }

        return new AtStop(
            true === $row?->isStorageInUse() ? $row : null,
            $scheme->inWords(),
            $contents,
            Strip::around($scheme->sort(self::each([...$others, ...$concerned])), $items),
            $positions,
            $companions,
            $this->photos->ofItems($items),
        );
    }

    /**
     * @param list<ThingRow> $rows
     *
     * @return list<Thing>
     */
    private static function things(array $rows): array
    {
        return array_map(static fn (ThingRow $row): Thing => $row->thing, $rows);
    }

    /**
     * @param list<Thing> $things
     *
     * @return list<Thing> each once
     */
    private static function each(array $things): array
    {
        $once = [];
        foreach ($things as $thing) {
            $once[$thing->id] = $thing;
        }

        return array_values($once);
    }
}
