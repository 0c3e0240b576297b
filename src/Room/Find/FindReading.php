<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\Row;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\ThingLine;
use App\Room\Stores\RoomReading;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;

/** Full-text search over items and places; the last letters of a word need not be typed, and small slips are forgiven. */
final readonly class FindReading
{
    private const MOST = 40;
    private const MOST_ON_A_WALK = 200;
    private const MOST_PLACES = 6;
    private const TOO_SHORT_TO_RANK = 3;

    public function __construct(
        private Connection $database,
        private RoomReading $room,
        private ItemReading $items,
        private SpeltWords $words,
        private FilterSql $sql,
    ) {
    }

    /** Returns what fits all the words, best first. */
    public function search(string $text, int $most): Found
    {
        return $this->find(new FindFilter($text), $most);
    }

    public function find(FindFilter $filter, int $most = self::MOST): Found
    {
        $question = $this->words->question($filter->text);
        $query = $question->all();
        if (null === $query && $filter->saysNothingBesideText()) {
            return new Found();
        }
        $most = $filter->isWalk ? self::MOST_ON_A_WALK : $most;
        $items = $this->items($query, $filter, $most);
        if ([] === $items && null !== $question->any()) {
            $items = $this->items($question->any(), $filter, $most);
            if ([] !== $items) {
                return new Found($this->inOrder($items, $filter), [], $question->instead, true, \count($items) === $most);
            }
        }
        $places = null === $query || !$filter->saysNothingBesideText() || $filter->isWalk ? [] : $this->places($query);

        return new Found($this->inOrder($items, $filter), $places, $question->instead, false, \count($items) === $most);
    }

    /** @return list<FoundItem> */
    private function items(?string $query, FindFilter $filter, int $most): array
    {
        $rows = null !== $query && $filter->saysNothingBesideText() ? $this->byText($query, $filter->text, $most) : $this->byFilter($query, $filter, $most);
        $where = $this->items->whereaboutsOf(array_map(static fn (Row $row): int => $row->int('item_id'), $rows));

        return array_map(static fn (Row $row): FoundItem => FoundItem::of($row, $where[$row->int('item_id')] ?? []), $rows);
    }

    /**
     * Where one or two letters fit thousands of things, none of them fits better than another.
     *
     * @return list<Row>
     */
    private function byText(string $query, string $text, int $most): array
    {
        [$rank, $order] = mb_strlen($text) < self::TOO_SHORT_TO_RANK ? ['0', ''] : ['bm25(finder, 10.0, 3.0, 2.0, 8.0)', 'ORDER BY rank'];

        return $this->rows(
            'SELECT '.ThingLine::COLUMNS.", i.colour_name, i.sentiments
             FROM (SELECT rowid, $rank AS rank FROM finder WHERE finder MATCH :query AND rowid % 2 = 0 $order LIMIT :most) found
             JOIN item i ON i.id = found.rowid / 2 LEFT JOIN place h ON h.id = i.home_id ORDER BY found.rank, i.name",
            ['query' => $query],
            $most,
        );
    }

    /** @return list<Row> */
    private function byFilter(?string $query, FindFilter $filter, int $most): array
    {
        [$from, $values] = $this->sql->from($query, $filter);
        $order = null === $query ? 'i.name' : 'found.rank, i.name';
        $columns = str_replace('h.address AS home', '(SELECT address FROM place h WHERE h.id = i.home_id) AS home', ThingLine::COLUMNS);

        return $this->rows("SELECT $columns, i.colour_name, i.sentiments FROM $from ORDER BY $order LIMIT :most", $values, $most);
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return list<Row>
     */
    private function rows(string $sql, array $values, int $most): array
    {
        $rows = $this->database->fetchAllAssociative($sql, ['most' => $most] + $values, ['most' => ParameterType::INTEGER]);

        return Row::each($rows, static fn (Row $row): Row => $row);
    }

    /**
     * @param list<FoundItem> $items
     *
     * @return list<FoundItem> best first, or by where they are, in the order of one walk; what is in no drawer comes last
     */
    private function inOrder(array $items, FindFilter $filter): array
    {
        if (!$filter->isWalk) {
            return $items;
        }
        $byPlace = $last = [];
        foreach ($items as $item) {
            $drawer = $item->drawer();
            if (null === $drawer) {
                $last[] = $item;
            } else {
                $byPlace[$drawer][] = $item;
            }
        }
        $stops = array_values(array_filter(array_map($this->room->stop(...), array_keys($byPlace))));

        return array_merge(...array_map(static fn (Stop $stop): array => $byPlace[$stop->place], (new WalkingOrder())->of($stops)), ...[$last]);
    }

    /** @return list<FoundPlace> */
    private function places(string $query): array
    {
        $places = Row::each($this->database->fetchAllAssociative(
            'SELECT p.id, p.address, p.name, p.kind FROM (SELECT rowid FROM finder WHERE finder MATCH ? AND rowid % 2 = 1 LIMIT 200) found
             JOIN place p ON p.id = (found.rowid - 1) / 2',
            ['{name address words} : ('.$query.')'],
        ), FoundPlace::of(...));
        usort($places, static fn (FoundPlace $a, FoundPlace $b): int => Address::compare($a->address, $b->address));

        return \array_slice($places, 0, self::MOST_PLACES);
    }
}
