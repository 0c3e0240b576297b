<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\FullText;
use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Catalogue\Thing;

/** Items: what is written down about them, where they are, and what they have to do with each other. */
final readonly class ItemReading
{
    private const MOST_OF_FAMILY = 24;

    public function __construct(private Connection $database)
    {
    }

    /** @throws Unknown if there never was such an item */
    public function item(int $id): ItemRow
    {
        $row = $this->database->fetchAssociative(
            'SELECT i.*, h.address AS home, h.name AS home_name, h.scheme AS home_scheme, s.address AS season_home
             FROM item i LEFT JOIN place h ON h.id = i.home_id LEFT JOIN place s ON s.id = i.season_home_id AND s.retired_at IS NULL WHERE i.id = ?',
            [$id],
        );

        return false === $row ? throw Unknown::item($id) : ItemRow::of(new Row($row));
    }

    /** @throws Unknown if there is no such item in the catalogue */
    public function inCatalogue(int $id): ItemRow
    {
        $item = $this->item($id);

        return null === $item->removedAt ? $item : throw Unknown::item($id);
    }

    /** @throws Unknown if there never was such an item */
    public function thing(int $id): Thing
    {
        return $this->things([$id])[0] ?? throw Unknown::item($id);
    }

    /**
     * @param list<int> $items
     *
     * @return list<Thing>
     */
    public function things(array $items): array
    {
        $rows = [] === $items ? [] : $this->database->fetchAllAssociative('SELECT * FROM item WHERE id IN ('.self::marks($items).')', $items);

        return Row::each($rows, ThingRow::thing(...));
    }

    /**
     * @param list<int> $items
     *
     * @return list<ThingLine> as lists show them
     */
    public function lines(array $items): array
    {
        $rows = [] === $items ? [] : $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.' FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id IN ('.self::marks($items).')',
            $items,
        );

        return Row::each($rows, ThingLine::of(...));
    }

    public function hasMoved(int $item): bool
    {
        return false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE item_id = ? LIMIT 1', [$item]);
    }

    /** @return list<WhereRow> where an item is now, lost included */
    public function whereabouts(int $item): array
    {
        return $this->whereaboutsOf([$item])[$item] ?? [];
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, list<WhereRow>> by item
     */
    public function whereaboutsOf(array $items): array
    {
        $rows = [] === $items ? [] : $this->database->fetchAllAssociative(
            'SELECT b.item_id, b.quantity, p.id AS place_id, p.address, p.kind AS place_kind, p.name AS place_name, p.nature,
                    k.id AS kit_id, k.name AS kit, k.stage AS kit_stage
             FROM balance b JOIN place p ON p.id = b.place_id LEFT JOIN kit_holder o ON o.place_id = p.id LEFT JOIN kit k ON k.id = o.kit_id
             WHERE b.item_id IN ('.self::marks($items).") AND (p.nature <> 'outside' OR (p.address = 'lost' AND b.quantity > 0))
             ORDER BY p.nature, p.address",
            $items,
        );
        $where = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $where[$row->int('item_id')][] = WhereRow::of($row);
        }

        return $where;
    }

    /** @return list<CompanionRow> */
    public function companions(int $item): array
    {
        return $this->companionsOf([$item]);
    }

    /**
     * @param list<int> $items
     *
     * @return list<CompanionRow> what goes with any of them
     */
    public function companionsOf(array $items): array
    {
        [$marks, $columns] = [self::marks($items), ThingLine::COLUMNS];
        $rows = [] === $items ? [] : $this->database->fetchAllAssociative(
            "SELECT c.of_id, c.is_together, $columns
             FROM (SELECT item_id AS of_id, other_id AS with_id, is_together FROM companion WHERE item_id IN ($marks)
                   UNION ALL SELECT other_id, item_id, is_together FROM companion WHERE other_id IN ($marks)) c
             JOIN item i ON i.id = c.with_id LEFT JOIN place h ON h.id = i.home_id ORDER BY i.name",
            [...$items, ...$items],
        );

        return Row::each($rows, CompanionRow::of(...));
    }

    /**
     * Returns things that all words of a text fit, of which the last letters may be missing: to choose one of them.
     *
     * @return list<ThingLine>
     */
    public function like(string $text, int $except, int $most): array
    {
        $words = FullText::all($text);
        $rows = null === $words ? [] : $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.' FROM (SELECT rowid / 2 AS id, rank FROM finder WHERE finder MATCH :words AND rowid % 2 = 0) f
             JOIN item i ON i.id = f.id AND i.id <> CAST(:except AS INTEGER) LEFT JOIN place h ON h.id = i.home_id
             WHERE i.removed_at IS NULL ORDER BY f.rank, i.name LIMIT :most',
            ['words' => $words, 'except' => $except, 'most' => $most],
            ['except' => ParameterType::INTEGER, 'most' => ParameterType::INTEGER],
        );

        return Row::each($rows, ThingLine::of(...));
    }

    /** @return list<KitOfItem> the kits that want an item or had it */
    public function kitsOf(int $item): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT k.id, k.name, k.stage, n.state FROM need n JOIN kit k ON k.id = n.kit_id AND k.removed_at IS NULL
             WHERE n.item_id = ? ORDER BY k.id DESC LIMIT 12',
            [$item],
        ), KitOfItem::of(...));
    }

    /** @return list<LostRow> */
    public function lost(): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", b.quantity,
                    (SELECT max(m.at) FROM movement m WHERE m.item_id = i.id AND m.to_id = b.place_id) AS since,
                    (SELECT m.note FROM movement m WHERE m.item_id = i.id AND m.to_id = b.place_id ORDER BY m.id DESC LIMIT 1) AS note
             FROM place p JOIN balance b ON b.place_id = p.id AND b.quantity > 0 JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE p.nature = 'outside' AND p.address = 'lost' ORDER BY since DESC LIMIT 200",
        ), LostRow::of(...));
    }

    /** @return list<UnfiledRow> */
    public function notFiled(): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", b.quantity FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id
             LEFT JOIN place h ON h.id = i.home_id WHERE p.nature = 'unfiled' ORDER BY i.name LIMIT 200",
        ), UnfiledRow::of(...));
    }

    /** @param list<int> $items */
    private static function marks(array $items): string
    {
        return implode(', ', array_fill(0, \count($items), '?'));
    }

    /** @return list<ScrapOf> the scraps of a paper that lie in drawers, the largest first */
    public function scrapsOf(int $paper): array
    {
        return $this->family(
            "i.parent_id = ? AND b.quantity > 0 AND p.nature IN ('storage', 'unfiled') ORDER BY i.sheet_width * i.sheet_height DESC, i.id",
            $paper,
        );
    }

    /** Returns the paper that a scrap was cut from; null where nobody has said it. */
    public function parentOf(int $scrap): ?ScrapOf
    {
        return $this->family('i.id = (SELECT parent_id FROM item WHERE id = ?) ORDER BY b.quantity DESC', $scrap)[0] ?? null;
    }

    /** @return list<ScrapOf> */
    private function family(string $condition, int $item): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.*, coalesce(b.quantity, 0) AS quantity, p.address FROM item i LEFT JOIN balance b ON b.item_id = i.id
             LEFT JOIN place p ON p.id = b.place_id WHERE i.removed_at IS NULL AND $condition LIMIT ".self::MOST_OF_FAMILY,
            [$item],
        );

        return Row::each($rows, ScrapOf::of(...));
    }
}
