<?php

declare(strict_types=1);

namespace App\Reading;

use Doctrine\DBAL\Connection;

/** Full-text search over items and places; the last letters of a word need not be typed. */
final readonly class FindReading
{
    private const MOST_WORDS = 8;

    public function __construct(private Connection $database)
    {
    }

    /**
     * Returns what fits all the words, best first.
     *
     * @return array{items: list<array<string, mixed>>, places: list<array<string, mixed>>}
     */
    public function search(string $text, int $most = 40): array
    {
        $query = self::query($text);
        if (null === $query) {
            return ['items' => [], 'places' => []];
        }

        return ['items' => $this->items($query, $most), 'places' => $this->places($query)];
    }

    /** @return list<array<string, mixed>> */
    private function items(string $query, int $most): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.id, i.name, i.maker, i.kind, i.tracking, i.colour, i.colour_name, i.sentiments, h.id AS home_id, h.address AS home, found.rank
             FROM (SELECT rowid, bm25(finder, 10.0, 3.0, 2.0, 8.0) AS rank FROM finder WHERE finder MATCH ? AND rowid % 2 = 0 ORDER BY rank LIMIT ?) found
             JOIN item i ON i.id = found.rowid / 2 LEFT JOIN place h ON h.id = i.home_id ORDER BY found.rank, i.name',
            [$query, $most],
            [\Doctrine\DBAL\ParameterType::STRING, \Doctrine\DBAL\ParameterType::INTEGER],
        );
        $where = $this->whereabouts(array_map(static fn (array $row): int => (int) $row['id'], $rows));

        return array_map(static fn (array $row): array => $row + ['where' => $where[(int) $row['id']] ?? []], $rows);
    }

    /** @return list<array<string, mixed>> */
    private function places(string $query): array
    {
        return $this->database->fetchAllAssociative(
            'SELECT p.id, p.address, p.name, p.kind, u.name AS unit_name FROM (SELECT rowid, rank FROM finder WHERE finder MATCH ? AND rowid % 2 = 1 ORDER BY rank LIMIT 6) found
             JOIN place p ON p.id = (found.rowid - 1) / 2 LEFT JOIN unit u ON u.id = p.unit_id ORDER BY found.rank',
            ['{name address words} : ('.$query.')'],
        );
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, list<array<string, mixed>>>
     */
    private function whereabouts(array $items): array
    {
        if ([] === $items) {
            return [];
        }
        $marks = implode(', ', array_fill(0, \count($items), '?'));
        $where = [];
        $rows = $this->database->fetchAllAssociative(
            "SELECT b.item_id, b.quantity, p.id AS place_id, p.address, p.nature, k.id AS kit_id, k.name AS kit FROM balance b JOIN place p ON p.id = b.place_id LEFT JOIN kit k ON k.tray_id = p.id
             WHERE b.item_id IN ($marks) AND (p.nature <> 'outside' OR (p.address = 'lost' AND b.quantity > 0))",
            $items,
        );
        foreach ($rows as $row) {
            $where[(int) $row['item_id']][] = $row;
        }

        return $where;
    }

    /** Returns what to ask of the full-text index for words of which the last letters may be missing, or null for no words. */
    public static function query(string $text): ?string
    {
        preg_match_all('/[\p{L}\p{N}\p{M}]+/u', mb_strtolower(mb_scrub($text)), $m);
        $words = \array_slice($m[0], 0, self::MOST_WORDS);

        return [] === $words ? null : implode(' AND ', array_map(static fn (string $word): string => '"'.$word.'"*', $words));
    }
}
