<?php

declare(strict_types=1);

namespace App\Reading;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Storage\Address;
use Lottel\Core\Storage\Spelling;
use Symfony\Component\Clock\ClockInterface;

/** Full-text search over items and places; the last letters of a word need not be typed, and small slips are forgiven. */
final readonly class FindReading
{
    private const MOST_WORDS = 8;
    private const MOST_PLACES = 6;

    /** Colours up to this difference are near (CIEDE2000; judged by eye on cardstock, common practice, no source). */
    private const NEAR = 14.0;

    public function __construct(private Connection $database, private RoomReading $room, private ClockInterface $clock)
    {
    }

    /**
     * Returns what fits all the words, best first.
     *
     * @return array{items: list<array<string, mixed>>, places: list<array<string, mixed>>, instead: array<string, list<string>>, is_loose: bool}
     */
    public function search(string $text, int $most = 40): array
    {
        return $this->find(new FindFilter($text), $most);
    }

    /** @return array{items: list<array<string, mixed>>, places: list<array<string, mixed>>, instead: array<string, list<string>>, is_loose: bool} */
    public function find(FindFilter $filter, int $most = 40): array
    {
        [$query, $instead] = $this->query($filter->text);
        if (null === $query && $filter->saysNothingBesideText()) {
            return ['items' => [], 'places' => [], 'instead' => [], 'is_loose' => false];
        }
        $items = $this->items($query, $filter, $filter->isWalk ? 200 : $most);
        $isLoose = false;
        if ([] === $items && null !== $query && str_contains($query, ' AND ')) {
            $query = str_replace(' AND ', ' OR ', $query);
            $items = $this->items($query, $filter, $most);
            $isLoose = [] !== $items;
        }
        $hasOnlyText = (new FindFilter($filter->text)) == $filter;

        return ['items' => $filter->isWalk ? $this->inWalkingOrder($items) : $items, 'places' => null === $query || $isLoose || !$hasOnlyText ? [] : $this->places($query), 'instead' => $instead, 'is_loose' => $isLoose];
    }

    /**
     * Returns how many would be found with each value of each filter, all other filters as they are.
     *
     * @return array{kind: array<string, int>, theme: array<string, int>, state: array<string, int>, unused: array<int, int>}
     */
    public function counts(FindFilter $filter): array
    {
        [$query] = $this->query($filter->text);
        $without = static fn (string $facet): FindFilter => new FindFilter($filter->text, 'kind' === $facet ? null : $filter->kind, 'theme' === $facet ? '' : $filter->theme, $filter->colour, $filter->panel, 'state' === $facet ? '' : $filter->state, 'unused' === $facet ? null : $filter->unusedMonths);
        [$from, $values, $types] = $this->from($query, $without('kind'));
        $kinds = $this->database->fetchAllKeyValue("SELECT i.kind, count(*) AS many FROM $from GROUP BY i.kind ORDER BY many DESC, i.kind", $values, $types);
        [$from, $values, $types] = $this->from($query, $without('theme'));
        $themes = [];
        foreach ($this->database->fetchAllKeyValue("SELECT i.themes, count(*) FROM $from GROUP BY i.themes", $values, $types) as $json => $count) {
            foreach (array_filter((array) json_decode((string) $json, true), is_string(...)) as $theme) {
                $themes[$theme] = ($themes[$theme] ?? 0) + (int) $count;
            }
        }
        arsort($themes);
        $states = $unused = [];
        foreach (FindFilter::STATES as $state) {
            $states[$state] = $this->count($query, new FindFilter($filter->text, $filter->kind, $filter->theme, $filter->colour, $filter->panel, $state, $filter->unusedMonths));
        }
        foreach ([6, 12, 24] as $months) {
            $unused[$months] = $this->count($query, new FindFilter($filter->text, $filter->kind, $filter->theme, $filter->colour, $filter->panel, $filter->state, $months));
        }

        return ['kind' => array_map(intval(...), $kinds), 'theme' => \array_slice($themes, 0, 12, true), 'state' => $states, 'unused' => $unused];
    }

    /** @return list<array<string, mixed>> */
    public function saved(): array
    {
        return $this->database->fetchAllAssociative('SELECT * FROM saved_search ORDER BY name LIMIT 40');
    }

    private function count(?string $query, FindFilter $filter): int
    {
        [$from, $values, $types] = $this->from($query, $filter);

        return (int) $this->database->fetchOne("SELECT count(*) FROM $from", $values, $types);
    }

    /** @return list<array<string, mixed>> */
    private function items(?string $query, FindFilter $filter, int $most): array
    {
        $hasOnlyText = null !== $query && (new FindFilter($filter->text, isWalk: $filter->isWalk)) == $filter;
        if ($hasOnlyText) {
            // Where one or two letters fit thousands of things, none of them fits better than another.
            $rank = mb_strlen($filter->text) < 3 ? '0' : 'bm25(finder, 10.0, 3.0, 2.0, 8.0)';
            $order = mb_strlen($filter->text) < 3 ? '' : 'ORDER BY rank';
            $rows = $this->database->fetchAllAssociative(
                "SELECT i.id, i.name, i.maker, i.kind, i.tracking, i.colour, i.colour_name, i.sentiments, h.id AS home_id, h.address AS home, found.rank
                 FROM (SELECT rowid, $rank AS rank FROM finder WHERE finder MATCH ? AND rowid % 2 = 0 $order LIMIT ?) found
                 JOIN item i ON i.id = found.rowid / 2 LEFT JOIN place h ON h.id = i.home_id ORDER BY found.rank, i.name",
                [$query, $most],
                [ParameterType::STRING, ParameterType::INTEGER],
            );
        } else {
            [$from, $values, $types] = $this->from($query, $filter);
            $order = null === $query ? 'i.name' : 'found.rank, i.name';
            $rows = $this->database->fetchAllAssociative("SELECT i.id, i.name, i.maker, i.kind, i.tracking, i.colour, i.colour_name, i.sentiments, i.home_id, (SELECT address FROM place h WHERE h.id = i.home_id) AS home FROM $from ORDER BY $order LIMIT :most", ['most' => $most] + $values, ['most' => ParameterType::INTEGER] + $types);
        }
        $where = $this->whereabouts(array_map(static fn (array $row): int => (int) $row['id'], $rows));

        return array_map(static fn (array $row): array => $row + ['where' => $where[(int) $row['id']] ?? []], $rows);
    }

    /**
     * Returns what to select from, with its conditions and their values.
     *
     * @return array{string, array<string, mixed>, array<string, mixed>}
     */
    private function from(?string $query, FindFilter $filter): array
    {
        $values = $types = $conditions = [];
        $from = 'item i';
        if (null !== $query) {
            $from .= ' JOIN (SELECT rowid / 2 AS id, bm25(finder, 10.0, 3.0, 2.0, 8.0) AS rank FROM finder WHERE finder MATCH :query AND rowid % 2 = 0) found ON found.id = i.id';
            $values['query'] = $query;
        }
        if (null !== $filter->kind) {
            $conditions[] = 'i.kind = :kind';
            $values['kind'] = $filter->kind->value;
        }
        if ('' !== $filter->theme) {
            $conditions[] = 'EXISTS (SELECT 1 FROM json_each(i.themes) t WHERE t.value = :theme)';
            $values['theme'] = $filter->theme;
        }
        if (null !== $filter->colour) {
            $conditions[] = 'i.colour IN (SELECT value FROM json_each(:colours))';
            $values['colours'] = json_encode($this->near($filter->colour));
        }
        if (null !== $filter->panel) {
            $conditions[] = "i.width || 'x' || i.height IN (SELECT value FROM json_each(:sizes))";
            $values['sizes'] = json_encode($this->sizesOn($filter->panel));
        }
        if ('' !== $filter->state) {
            $nature = ['home' => "p.nature = 'storage'", 'out' => "p.nature = 'tray'", 'lost' => "p.nature = 'outside' AND p.address = 'lost' AND b.quantity > 0"][$filter->state];
            $conditions[] = "i.id IN (SELECT b.item_id FROM place p JOIN balance b ON b.place_id = p.id WHERE $nature)";
        }
        if (null !== $filter->unusedMonths) {
            $conditions[] = "i.id NOT IN (SELECT m.item_id FROM movement m WHERE m.reason = 'pull' AND m.at >= :since)";
            $values['since'] = $this->clock->now()->modify(\sprintf('-%d months', $filter->unusedMonths))->format('Y-m-d');
        }

        return [$from.([] === $conditions ? '' : ' WHERE '.implode(' AND ', $conditions)), $values, $types];
    }

    /** @return list<string> the colours in the catalogue that are near one */
    private function near(string $hex): array
    {
        $wanted = Lab::of(Srgb::ofHex($hex));
        $near = [];
        foreach ($this->database->fetchFirstColumn('SELECT DISTINCT colour FROM item WHERE colour IS NOT NULL') as $colour) {
            if (Difference::between($wanted, Lab::of(Srgb::ofHex((string) $colour))) <= self::NEAR) {
                $near[] = (string) $colour;
            }
        }

        return $near;
    }

    /**
     * @param array{int, int} $panel
     *
     * @return list<string> the sizes in the catalogue that go onto a panel, turned or not
     */
    private function sizesOn(array $panel): array
    {
        $size = new Size(Length::ofTicks($panel[0]), Length::ofTicks($panel[1]));
        $fits = [];
        foreach ($this->database->fetchAllAssociative('SELECT DISTINCT width, height FROM item WHERE width IS NOT NULL AND height IS NOT NULL') as $row) {
            $own = new Size(Length::ofTicks((int) $row['width']), Length::ofTicks((int) $row['height']));
            if ($own->isWithin($size) || $own->turned()->isWithin($size)) {
                $fits[] = $row['width'].'x'.$row['height'];
            }
        }

        return $fits;
    }

    /**
     * @param list<array<string, mixed>> $items
     *
     * @return list<array<string, mixed>> by where they are, in the order of one walk; what is in no drawer comes last
     */
    private function inWalkingOrder(array $items): array
    {
        $byPlace = $last = [];
        foreach ($items as $item) {
            $stored = array_values(array_filter($item['where'], static fn (array $where): bool => 'storage' === $where['nature']))[0] ?? null;
            if (null === $stored) {
                $last[] = $item;
            } else {
                $byPlace[(int) $stored['place_id']][] = $item;
            }
        }
        $stops = array_values(array_filter(array_map(fn (int $place): ?Stop => $this->room->stop($place), array_keys($byPlace))));

        return array_merge(...array_map(static fn (Stop $stop): array => $byPlace[$stop->place], (new WalkingOrder())->of($stops)), ...[$last]);
    }

    /** @return list<array<string, mixed>> */
    private function places(string $query): array
    {
        $places = $this->database->fetchAllAssociative(
            'SELECT p.id, p.address, p.name, p.kind, u.name AS unit_name FROM (SELECT rowid FROM finder WHERE finder MATCH ? AND rowid % 2 = 1 LIMIT 200) found
             JOIN place p ON p.id = (found.rowid - 1) / 2 LEFT JOIN unit u ON u.id = p.unit_id',
            ['{name address words} : ('.$query.')'],
        );
        usort($places, static fn (array $a, array $b): int => Address::compare((string) $a['address'], (string) $b['address']));

        return \array_slice($places, 0, self::MOST_PLACES);
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

    /**
     * Returns what to ask of the full-text index for words of which the last letters may be missing, or null for no words;
     * and the words that were taken instead of misspelt ones.
     *
     * @return array{string|null, array<string, list<string>>}
     */
    private function query(string $text): array
    {
        $words = \array_slice(Spelling::words($text), 0, self::MOST_WORDS);
        $instead = $parts = [];
        foreach ($words as $word) {
            $near = $this->isKnown($word) ? [] : Spelling::nearest($word, $this->vocabulary());
            if ([] !== $near) {
                $instead[$word] = $near;
            }
            $parts[] = [] === $near ? '"'.$word.'"*' : '('.implode(' OR ', array_map(static fn (string $other): string => '"'.$other.'"*', $near)).')';
        }

        return [[] === $parts ? null : implode(' AND ', $parts), $instead];
    }

    /** Returns what to ask of the full-text index for words as they are, of which the last letters may be missing; null for no words. */
    public static function plainQuery(string $text): ?string
    {
        $words = \array_slice(Spelling::words($text), 0, self::MOST_WORDS);

        return [] === $words ? null : implode(' AND ', array_map(static fn (string $word): string => '"'.$word.'"*', $words));
    }

    private function isKnown(string $word): bool
    {
        return mb_strlen($word) < 4 || false !== $this->database->fetchOne('SELECT 1 FROM finder_word WHERE term >= ? AND term < ? || char(1114111) LIMIT 1', [$word, $word]);
    }

    /** @return list<string> */
    private function vocabulary(): array
    {
        return array_map(strval(...), $this->database->fetchFirstColumn('SELECT term FROM finder_word WHERE length(term) > 3'));
    }
}
