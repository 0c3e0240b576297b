<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use App\Platform\Web\RoomClock;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Care\StampInk;

/** Kits, their lists, and what is on their trays. */
final readonly class KitReading
{
    private const KITS = <<<'SQL'
        SELECT k.*, p.address AS tray, (SELECT count(*) FROM need n WHERE n.kit_id = k.id) AS lines,
               (SELECT count(*) FROM need n WHERE n.kit_id = k.id AND n.state = 'open') AS open_lines,
               (SELECT count(*) FROM kit_holder h JOIN balance b ON b.place_id = h.place_id WHERE h.kit_id = k.id) AS out
        FROM kit k LEFT JOIN place p ON p.id = k.tray_id
        SQL;

    public function __construct(private Connection $database, private RoomClock $roomClock, private PartsOfKit $parts)
    {
    }

    /** @return list<KitRow> those that have a tray */
    public function out(): array
    {
        return $this->all('k.tray_id IS NOT NULL');
    }

    /** @return list<KitRow> */
    public function planned(): array
    {
        return $this->all("k.stage = 'planned' AND k.removed_at IS NULL");
    }

    /** @return list<KitRow> the last ones first */
    public function closed(): array
    {
        return $this->all("k.stage = 'closed' AND k.removed_at IS NULL");
    }

    /** @return list<KitRow> those that something can be put into */
    public function choosable(): array
    {
        $out = array_filter($this->out(), static fn (KitRow $kit): bool => !$kit->isReturning() && !$kit->isParked());

        return [...array_values($out), ...$this->planned()];
    }

    /** @throws Unknown if there is no such kit */
    public function one(int $id): KitRow
    {
        $row = $this->database->fetchAssociative(self::KITS.' WHERE k.id = ? AND k.removed_at IS NULL', [$id]);

        return false === $row ? throw Unknown::kit($id) : $this->kit(new Row($row));
    }

    /** @return list<StampInk> the inks that were on a kit's tray, those that are home already too */
    public function inksOf(int $kit): array
    {
        return Row::each($this->database->fetchAllAssociative(
            "SELECT DISTINCT i.id, i.name, i.details ->> '$.\"ink type\"' AS type, i.details ->> '$.\"cleans with\"' AS cleans
             FROM movement m JOIN item i ON i.id = m.item_id AND i.kind = 'ink'
             WHERE m.kit_id = ? AND +m.reason = 'pull' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) ORDER BY i.name",
            [$kit],
        ), static fn (Row $row): StampInk => StampInk::of($row->text('name'), $row->textOrNull('type') ?? '', $row->textOrNull('cleans') ?? ''));
    }

    /** @return list<array{int, string, string}> the kits whose folder stands in a place: number, name, folder */
    public function foldersIn(int $place): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT k.id, k.name, p.address FROM folder f JOIN place p ON p.id = f.place_id JOIN kit k ON k.tray_id = p.id WHERE f.home_id = ? ORDER BY k.id',
            [$place],
        ), static fn (Row $row): array => [$row->int('id'), $row->text('name'), $row->text('address')]);
    }

    /** Returns where the folder of a kit stands; null where it waits in none, or nobody has said. */
    public function folderHome(int $kit): ?string
    {
        $address = $this->database->fetchOne(
            'SELECT h.address FROM kit k JOIN folder f ON f.place_id = k.tray_id JOIN place h ON h.id = f.home_id WHERE k.id = ? AND h.retired_at IS NULL',
            [$kit],
        );

        return \is_string($address) ? $address : null;
    }

    /** Returns what changes whenever anybody does something with a kit: its last movement, its list and its stage. */
    public function version(int $id): string
    {
        $row = $this->database->fetchNumeric('SELECT stage, tray_id, (SELECT max(id) FROM movement WHERE kit_id = kit.id) FROM kit WHERE id = ?', [$id]);

        return substr(hash('xxh128', json_encode([$row, $this->parts->all()->sign($id)], \JSON_THROW_ON_ERROR)), 0, 16);
    }

    /** @return list<NeedRow> the list with what can be had of each line */
    public function needs(int $kit): array
    {
        return $this->needsOf([$kit])[$kit] ?? [];
    }

    /**
     * @param list<int> $kits
     *
     * @return array<int, list<NeedRow>> their lists with what can be had of each line, by kit
     */
    public function needsOf(array $kits): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", n.*, ri.name AS instead_name, s.here AS stored,
                    (SELECT coalesce(sum(l.quantity), 0) FROM lies_out l WHERE l.item_id = i.id AND l.kit_id <> n.kit_id) AS on_trays,
                    (SELECT group_concat(CASE p.kind WHEN 'person' THEN p.name WHEN 'basket' THEN 'in ' || p.name ELSE 'with “' || k.name || '”' END,
                        ' and ') FROM lies_out l JOIN place p ON p.id = l.place_id LEFT JOIN kit k ON k.id = l.kit_id
                     WHERE l.item_id = i.id AND (l.kit_id IS NULL OR l.kit_id <> n.kit_id)) AS out_with,
                    (SELECT coalesce(sum(w.quantity), 0) FROM open_want w WHERE w.item_id = i.id AND w.kit_id <> n.kit_id) AS wanted,
                    (SELECT group_concat(k.name, ', ') FROM need o JOIN kit k ON k.id = o.kit_id
                     WHERE o.item_id = i.id AND o.kit_id <> n.kit_id AND ".OpenKits::ARE."
                        AND (o.state = 'open' OR o.taken > 0)) AS other_kits
             FROM need n JOIN item i ON i.id = n.item_id JOIN stock_of_item s ON s.item_id = i.id LEFT JOIN place h ON h.id = i.home_id
             LEFT JOIN need r ON r.id = n.instead_of_id LEFT JOIN item ri ON ri.id = r.item_id
             WHERE n.kit_id IN (?) ORDER BY n.id",
            [$kits],
            [ArrayParameterType::INTEGER],
        );
        $needs = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $needs[$row->int('kit_id')][] = NeedRow::of($row);
        }

        return $needs;
    }

    /** @return list<TrayRow> what is on a kit's tray */
    public function tray(int $kit): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.', b.quantity
             FROM kit_holder k JOIN balance b ON b.place_id = k.place_id JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE k.kit_id = ? ORDER BY i.name',
            [$kit],
        );

        return Row::each($rows, TrayRow::of(...));
    }

    /**
     * @param list<int> $kits
     *
     * @return array<int, list<ThingLine>> what is on the trays of some kits, by kit
     */
    public function traysOf(array $kits): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT k.kit_id, '.ThingLine::COLUMNS.'
             FROM kit_holder k JOIN balance b ON b.place_id = k.place_id JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE k.kit_id IN (?) ORDER BY i.name',
            [$kits],
            [ArrayParameterType::INTEGER],
        );
        $things = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $things[$row->int('kit_id')][] = ThingLine::of($row);
        }

        return $things;
    }

    /** @return list<KitRow> */
    private function all(string $condition): array
    {
        $rows = $this->database->fetchAllAssociative(
            self::KITS." WHERE $condition ORDER BY CASE WHEN k.stage = 'closed' THEN k.closed_at END DESC, k.due_on IS NULL, k.due_on, k.id LIMIT 60",
        );

        return Row::each($rows, $this->kit(...));
    }

    private function kit(Row $row): KitRow
    {
        return KitRow::of($row, $this->roomClock->due($row->textOrNull('due_on')));
    }
}
