<?php

declare(strict_types=1);

namespace App\Find;

use App\Stores\RoomReading;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Words\SizeWords;
use Lottel\Core\Words\Spelling;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Contracts\Service\ResetInterface;

/** Full-text search over items and places; the last letters of a word need not be typed, and small slips are forgiven. */
final class FindReading implements ResetInterface
{
    private const MOST_WORDS = 8;
    private const MOST_PLACES = 6;
    private const UNUSED_MONTHS = [6, 12, 24];
    private const STATES = [
        'home' => "EXISTS (SELECT 1 FROM balance b WHERE b.item_id = i.id AND b.place_id NOT IN (SELECT id FROM place WHERE nature <> 'storage'))",
        'out' => "i.id IN (SELECT b.item_id FROM place p CROSS JOIN balance b ON b.place_id = p.id WHERE p.nature = 'tray')",
        'lost' => "i.id IN (SELECT b.item_id FROM place p CROSS JOIN balance b ON b.place_id = p.id WHERE p.nature = 'outside' AND p.address = 'lost' AND b.quantity > 0)",
    ];

    /** @var array<string, array{string|null, array<string, list<string>>}> by text, for the results and their counts */
    private array $queries = [];

    public function __construct(private readonly Connection $database, private readonly RoomReading $room, private readonly ClockInterface $clock)
    {
    }

    public function reset(): void
    {
        $this->queries = [];
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
        [$from, $values, $types] = $this->from($query, new FindFilter($filter->text, colour: $filter->colour, panel: $filter->panel));
        $months = array_values(array_unique([...self::UNUSED_MONTHS, ...(null === $filter->unusedMonths ? [] : [$filter->unusedMonths])]));
        $unused = [];
        foreach ($months as $number) {
            $unused[] = self::unused("since{$number}")." AS unused{$number}";
            $values["since{$number}"] = $this->monthsAgo($number);
        }
        $states = array_map(static fn (string $state): string => self::STATES[$state]." AS $state", FindFilter::STATES);
        $columns = implode(', ', ['i.kind', 'i.themes', ...$states, ...$unused]);
        $groups = implode(', ', range(1, 2 + \count($states) + \count($unused)));
        $rows = $this->database->fetchAllAssociative("SELECT $columns, count(*) AS many FROM $from GROUP BY $groups", $values, $types);

        return self::tally($rows, $filter);
    }

    /**
     * @param list<array<string, mixed>> $rows items alike, with how many they are
     *
     * @return array{kind: array<string, int>, theme: array<string, int>, state: array<string, int>, unused: array<int, int>}
     */
    private static function tally(array $rows, FindFilter $filter): array
    {
        $kinds = $themes = [];
        $states = array_fill_keys(FindFilter::STATES, 0);
        $unused = array_fill_keys(self::UNUSED_MONTHS, 0);
        foreach ($rows as $row) {
            $own = array_filter((array) json_decode((string) $row['themes'], true), is_string(...));
            $fits = [
                'kind' => null === $filter->kind || $row['kind'] === $filter->kind->value,
                'theme' => '' === $filter->theme || \in_array($filter->theme, $own, true),
                'state' => '' === $filter->state || (bool) $row[$filter->state],
                'unused' => null === $filter->unusedMonths || (bool) $row['unused'.$filter->unusedMonths],
            ];
            $many = (int) $row['many'];
            $fitsBut = static fn (string $facet): bool => [] === array_filter($fits, static fn (bool $fit, string $key): bool => !$fit && $key !== $facet, \ARRAY_FILTER_USE_BOTH);
            if ($fitsBut('kind')) {
                $kinds[(string) $row['kind']] = ($kinds[(string) $row['kind']] ?? 0) + $many;
            }
            foreach ($fitsBut('theme') ? $own : [] as $theme) {
                $themes[$theme] = ($themes[$theme] ?? 0) + $many;
            }
            foreach ($fitsBut('state') ? FindFilter::STATES : [] as $state) {
                $states[$state] += $row[$state] ? $many : 0;
            }
            foreach ($fitsBut('unused') ? self::UNUSED_MONTHS : [] as $months) {
                $unused[$months] += $row['unused'.$months] ? $many : 0;
            }
        }
        arsort($kinds);
        arsort($themes);

        return ['kind' => $kinds, 'theme' => \array_slice($themes, 0, 12, true), 'state' => $states, 'unused' => $unused];
    }

    /** What came in later than that, or has never been in the room, cannot have been idle for so long. */
    private static function unused(string $since): string
    {
        return "(i.since < :$since AND (i.used_at IS NULL OR i.used_at < :$since))";
    }

    private function monthsAgo(int $months): string
    {
        return $this->clock->now()->modify(\sprintf('-%d months', $months))->format('Y-m-d');
    }

    /** @return list<array<string, mixed>> */
    public function saved(): array
    {
        return $this->database->fetchAllAssociative('SELECT * FROM saved_search ORDER BY name LIMIT 40');
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
        $values = $types = [];
        $conditions = ['i.removed_at IS NULL'];
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
            $conditions[] = 'i.themes IN (SELECT value FROM json_each(:themes))';
            $values['themes'] = json_encode($this->themesWith($filter->theme));
        }
        if (null !== $filter->colour) {
            $conditions[] = 'i.colour IN (SELECT value FROM json_each(:colours))';
            $values['colours'] = json_encode($this->near($filter->colour));
        }
        if (null !== $filter->panel) {
            $conditions[] = "i.kind IN (SELECT value FROM json_each(:cuttable)) AND i.width || 'x' || i.height IN (SELECT value FROM json_each(:sizes))";
            $values['cuttable'] = json_encode(array_values(array_map(static fn (Kind $kind): string => $kind->value, array_filter(Kind::cases(), static fn (Kind $kind): bool => $kind->isCut()))));
            $values['sizes'] = json_encode($this->sizesHolding($filter->panel));
        }
        if ('' !== $filter->state) {
            $conditions[] = self::STATES[$filter->state];
        }
        if (null !== $filter->unusedMonths) {
            $conditions[] = self::unused('since');
            $values['since'] = $this->monthsAgo($filter->unusedMonths);
        }

        return [$from.' WHERE '.implode(' AND ', $conditions), $values, $types];
    }

    /** @return list<string> the lists of themes in the catalogue that have one among them, as they are stored */
    private function themesWith(string $theme): array
    {
        $lists = array_map(strval(...), $this->database->fetchFirstColumn('SELECT DISTINCT themes FROM item'));

        return array_values(array_filter($lists, static fn (string $list): bool => \in_array($theme, (array) json_decode($list, true), true)));
    }

    /** @return list<string> the colours in the catalogue that are what is wanted */
    private function near(ColourWanted $wanted): array
    {
        $colours = array_map(strval(...), $this->database->fetchFirstColumn('SELECT DISTINCT colour FROM item WHERE colour IS NOT NULL'));

        return array_values(array_filter($colours, static fn (string $colour): bool => $wanted->isMetBy(Srgb::ofHex($colour))));
    }

    /**
     * @param array{int, int} $panel
     *
     * @return list<string> the sizes in the catalogue out of which a panel can be cut, turned or not
     */
    private function sizesHolding(array $panel): array
    {
        $size = new Size(Length::ofTicks($panel[0]), Length::ofTicks($panel[1]));
        $fits = [];
        foreach ($this->database->fetchAllAssociative('SELECT DISTINCT width, height FROM item WHERE width IS NOT NULL AND height IS NOT NULL') as $row) {
            $own = new Size(Length::ofTicks((int) $row['width']), Length::ofTicks((int) $row['height']));
            if ($size->isWithin($own) || $size->turned()->isWithin($own)) {
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
        return $this->queries[$text] ??= $this->spelt($text);
    }

    /** @return array{string|null, array<string, list<string>>} */
    private function spelt(string $text): array
    {
        $words = \array_slice(Spelling::words(SizeWords::joined($text)), 0, self::MOST_WORDS);
        $instead = $parts = [];
        foreach ($words as $word) {
            $near = $this->isKnown($word) ? [] : (Spelling::nearest($word, $this->vocabulary(mb_substr($word, 0, 1))) ?: Spelling::nearest($word, $this->vocabulary('')));
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
        $words = \array_slice(Spelling::words(SizeWords::joined($text)), 0, self::MOST_WORDS);

        return [] === $words ? null : implode(' AND ', array_map(static fn (string $word): string => '"'.$word.'"*', $words));
    }

    private function isKnown(string $word): bool
    {
        return mb_strlen($word) < 4 || false !== $this->database->fetchOne('SELECT 1 FROM finder_word WHERE term >= ? AND term < ? || char(1114111) LIMIT 1', [$word, $word]);
    }

    /** @return list<string> the words of the index that begin with a letter, or all of them */
    private function vocabulary(string $first): array
    {
        $sql = '' === $first ? 'SELECT term FROM finder_word' : 'SELECT term FROM finder_word WHERE term >= :first AND term < :first || char(1114111)';

        return array_map(strval(...), $this->database->fetchFirstColumn($sql, '' === $first ? [] : ['first' => $first]));
    }
}
