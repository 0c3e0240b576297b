<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Furniture\Address;

/** Places with what is written down about them. */
final readonly class PlaceReading
{
    private const MOST_OF_SEASON = 12;
    private const PLACES = <<<'SQL'
        SELECT p.*, u.letters, u.name AS unit_name, u.caution, u.height AS unit_height, u.above_floor, u.template, o.address AS parent_address
        FROM place p LEFT JOIN unit u ON u.id = p.unit_id LEFT JOIN place o ON o.id = p.parent_id
        SQL;

    public function __construct(private Connection $database)
    {
    }

    public function place(string $address): ?PlaceRow
    {
        return $this->one('p.address', $address);
    }

    /** @throws Unknown if it is no place of the furniture that is in use */
    public function inUse(string $address): PlaceRow
    {
        $place = $this->place(Address::asTyped($address));

        return true === $place?->isStorageInUse() ? $place : throw Unknown::place($address);
    }

    /** @throws Unknown if it is no place of the furniture that is in use */
    public function number(int $id): PlaceRow
    {
        $place = $this->one('p.id', $id);

        return true === $place?->isStorageInUse() ? $place : throw Unknown::place((string) $id);
    }

    /** @return list<PlaceRow> the places of the furniture that a thing can have its home in for good */
    public function forHomes(): array
    {
        return array_values(array_filter($this->inRoom(), static fn (PlaceRow $place): bool => null === $place->fileAfterUses));
    }

    /** @return list<PlaceRow> the places of the furniture that are in use */
    public function inRoom(): array
    {
        $rows = $this->database->fetchAllAssociative(self::PLACES." WHERE p.nature = 'storage' AND p.retired_at IS NULL AND p.unit_id IS NOT NULL");

        return Row::each($rows, PlaceRow::of(...));
    }

    /** @return list<NamedPlace> a few places that hold what belongs to a season */
    public function ofSeason(Season $season): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT p.address, p.name, nullif(p.season, '') AS says, count(b.item_id) AS things, coalesce(sum(i.season = :season), 0) AS of_it
             FROM place p LEFT JOIN balance b ON b.place_id = p.id LEFT JOIN item i ON i.id = b.item_id
             WHERE p.nature = 'storage' AND p.retired_at IS NULL AND p.id IN (
                 SELECT id FROM place WHERE season = :season
                 UNION SELECT b2.place_id FROM item i2 JOIN balance b2 ON b2.item_id = i2.id WHERE i2.season = :season)
             GROUP BY p.id ORDER BY p.address",
            ['season' => $season->value],
        );
        $of = array_filter(
            Row::each($rows, static fn (Row $row): Row => $row),
            static fn (Row $row): bool => $season->isOf($row->oneOrNull('says', Season::class), $row->int('of_it'), $row->int('things')),
        );

        return \array_slice(array_map(NamedPlace::of(...), array_values($of)), 0, self::MOST_OF_SEASON);
    }

    /** @return list<InnerRow> */
    public function inner(int $place): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT p.*, (SELECT count(*) FROM balance b WHERE b.place_id = p.id) AS things
             FROM place p WHERE p.parent_id = ? AND p.retired_at IS NULL ORDER BY p.layer, p.address',
            [$place],
        );

        return Row::each($rows, InnerRow::of(...));
    }

    public function livesIn(int $place): Lodgers
    {
        $within = 'WITH RECURSIVE within(id) AS (SELECT ? UNION ALL SELECT p.id FROM place p JOIN within w ON p.parent_id = w.id)';
        $count = fn (string $what): int => Row::number($this->database->fetchOne("$within SELECT count(*) FROM $what", [$place]));

        return new Lodgers($count('balance b JOIN within w ON w.id = b.place_id'), $count('item i JOIN within w ON w.id = i.home_id'));
    }

    /**
     * Returns the names of what is in the places of a unit, a few of each.
     *
     * @return array<int, list<string>>
     */
    public function namesByPlace(int $unit, int $most = 6): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT b.place_id, i.name FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id
             WHERE p.unit_id = ? ORDER BY i.name',
            [$unit],
        );
        $names = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $place = $row->int('place_id');
            if (\count($names[$place] ?? []) < $most) {
                $names[$place][] = $row->text('name');
            }
        }

        return $names;
    }

    private function one(string $column, int|string $value): ?PlaceRow
    {
        $row = $this->database->fetchAssociative(self::PLACES." WHERE $column = ?", [$value]);

        return false === $row ? null : PlaceRow::of(new Row($row));
    }
}
