<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Year\CardChoice;
use Lottel\Core\Year\CardOnShelf;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\FinishedWords;

/** What lies ready to be given, and what is only begun. */
final readonly class ShelfReading
{
    private const MOST = 400;
    private const MOST_COLOURS = 6;

    /** What was put right in the log did not happen. */
    private const STANDS = 'NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = g.movement_id)';

    private const IN_ALBUM = 'EXISTS (SELECT 1 FROM album_page ap JOIN album a ON a.id = ap.album_id WHERE ap.item_id = i.id AND a.removed_at IS NULL)';

    /** How many of an item lie in drawers. */
    private const THERE = '(SELECT s.here FROM stock_of_item s WHERE s.item_id = i.id)';

    public function __construct(private Connection $database)
    {
    }

    /** @return list<ShelfPiece> finished pieces of which some are there, in the order of their homes */
    public function finished(): array
    {
        return $this->pieces('i.kind = \'finished piece\' AND '.self::THERE.' > 0 AND NOT '.self::IN_ALBUM, []);
    }

    /** @return list<ShelfPiece> pages and layouts that are in no album, those that are not made any more too */
    public function loosePages(): array
    {
        $loose = $this->pieces('i.kind = \'finished piece\' AND NOT '.self::IN_ALBUM, []);

        return array_values(array_filter($loose, static fn (ShelfPiece $piece): bool => $piece->isPage));
    }

    /** @return list<ShelfPiece> bases with a background, die cuts made ahead */
    public function begun(): array
    {
        return $this->pieces('i.kind = \'part-finished\' AND '.self::THERE.' > 0', []);
    }

    /** @throws Unknown if it is no finished piece */
    public function one(int $item): ShelfPiece
    {
        return $this->pieces('i.kind = \'finished piece\' AND i.id = :item', ['item' => $item])[0] ?? throw Unknown::item($item);
    }

    /** @return array<string, string> how places for finished pieces are called, by the word of the occasion */
    public function places(): array
    {
        $places = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT name, says_theme FROM place WHERE says_kind = 'finished piece' AND nature = 'storage' AND retired_at IS NULL ORDER BY id",
        ) as $columns) {
            $row = new Row($columns);
            $said = '' === $row->text('says_theme') ? $row->text('name') : $row->text('says_theme');
            if ('' !== $said && !FinishedWords::isPage($said)) {
                $places[CardChoice::word($said)] = $row->text('name');
            }
        }

        return $places;
    }

    /** @return array<string, int> how many went in the year before a day, by the word of the occasion */
    public function givenIn(Day $until): array
    {
        $given = [];
        $rows = $this->database->fetchAllAssociative(
            'SELECT g.item_id, sum(g.quantity) AS many FROM gift g WHERE g.day > ? AND g.day <= ? AND '.self::STANDS.' GROUP BY g.item_id',
            [$until->plus(-365)->text(), $until->text()],
        );
        $many = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $many[$row->int('item_id')] = $row->int('many');
        }
        foreach ([] === $many ? [] : $this->pieces('i.id IN (:items)', ['items' => array_keys($many)]) as $piece) {
            $given[$piece->word] = ($given[$piece->word] ?? 0) + $many[$piece->thing->id];
        }

        return $given;
    }

    /** @return list<int> the items that a person was given */
    public function hadBy(int $contact): array
    {
        return array_map(intval(...), Row::words($this->database->fetchFirstColumn(
            'SELECT DISTINCT CAST(g.item_id AS TEXT) FROM gift g WHERE g.contact_id = ? AND '.self::STANDS,
            [$contact],
        )));
    }

    /**
     * @param list<ShelfPiece> $pieces
     *
     * @return list<CardOnShelf>
     */
    public static function cards(array $pieces): array
    {
        return array_map(static fn (ShelfPiece $piece): CardOnShelf => new CardOnShelf(
            $piece->thing->id,
            $piece->word,
            $piece->free(),
            array_map(Srgb::ofHex(...), $piece->colours),
            null === $piece->madeAt ? null : Day::of($piece->madeAt)->number,
        ), $pieces);
    }

    /**
     * @param array<string, int|list<int>> $values
     *
     * @return list<ShelfPiece>
     */
    private function pieces(string $condition, array $values): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.', i.details, h.name AS home_name, h.says_theme, h.says_kind, '.self::THERE." AS there,
                (SELECT k.makes FROM piece_made m JOIN kit k ON k.id = m.kit_id WHERE m.item_id = i.id ORDER BY m.movement_id LIMIT 1) AS makes,
                (SELECT k.occasion FROM piece_made m JOIN kit k ON k.id = m.kit_id WHERE m.item_id = i.id ORDER BY m.movement_id LIMIT 1) AS occasion,
                (SELECT min(m.at) FROM movement m WHERE m.item_id = i.id) AS made_at
             FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.removed_at IS NULL AND $condition
             ORDER BY h.address IS NULL, h.address, i.name LIMIT ".self::MOST,
            $values,
            array_map(static fn (int|array $value): mixed => \is_array($value) ? ArrayParameterType::INTEGER : ParameterType::INTEGER, $values),
        );
        $items = array_map(static fn (array $columns): int => (new Row($columns))->int('item_id'), $rows);
        $aside = $this->aside($items);
        $colours = $this->colours($items);

        return Row::each($rows, static fn (Row $row): ShelfPiece => new ShelfPiece(
            $thing = ThingLine::of($row),
            self::word($row, $thing),
            $row->int('there'),
            $aside[$thing->id] ?? [],
            null === $thing->colour ? array_keys($colours[$thing->id] ?? []) : [$thing->colour],
            null === $thing->colour ? \count(array_filter($colours[$thing->id] ?? [])) : 1,
            $row->timeOrNull('made_at'),
            self::detail($row, 'measures'),
            FinishedWords::isPage($thing->name, $row->textOrNull('makes') ?? ''),
        ));
    }

    /** What it says itself, else what its kit was for, else what its drawer is for, else its theme, else what its name speaks of. */
    private static function word(Row $row, ThingLine $thing): string
    {
        $said = array_values(array_filter([
            self::detail($row, 'occasion'),
            $row->textOrNull('occasion') ?? '',
            $row->textOrNull('says_theme') ?? '',
            Kind::FinishedPiece->value === $row->textOrNull('says_kind') ? FinishedWords::occasionOfDrawer($row->text('home_name')) : '',
            $thing->themes[0] ?? '',
            FinishedWords::occasion($thing->name.' '.($row->textOrNull('makes') ?? '')),
        ], static fn (string $word): bool => '' !== $word))[0] ?? '';

        return CardChoice::word(explode(',', $said)[0]);
    }

    private static function detail(Row $row, string $field): string
    {
        $details = json_decode($row->text('details'), true);
        $said = \is_array($details) ? $details[$field] ?? '' : '';

        return \is_string($said) ? $said : '';
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, list<AsideFor>> by item
     */
    private function aside(array $items): array
    {
        $aside = [];
        foreach ($this->database->fetchAllAssociative(
            'SELECT s.id, s.item_id, substr(s.day, 1, 10) AS day, s.occasion_id, o.name FROM set_aside s JOIN occasion o ON o.id = s.occasion_id
             WHERE s.item_id IN (?) AND o.removed_at IS NULL ORDER BY s.day, s.id',
            [[0, ...$items]],
            [ArrayParameterType::INTEGER],
        ) as $columns) {
            $row = new Row($columns);
            $day = Day::read($row->text('day'));
            if (null !== $day) {
                $aside[$row->int('item_id')][] = new AsideFor($row->int('id'), $row->int('item_id'), $day, $row->int('occasion_id'), $row->text('name'));
            }
        }

        return $aside;
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, array<string, bool>> the colours of what went into them, and whether each is that of a paper; papers first, by item
     */
    private function colours(array $items): array
    {
        $colours = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT made.item_id, u.colour, min(u.kind IN ('ink', 'ribbon')) AS is_beside FROM piece_made made
             JOIN use_of_item m ON m.kit_id = made.kit_id
             JOIN item u ON u.id = m.item_id AND u.colour IS NOT NULL AND u.kind IN ('paper', 'scrap', 'part-finished', 'ink', 'ribbon')
             WHERE made.item_id IN (?) GROUP BY made.item_id, u.colour ORDER BY is_beside, min(m.movement_id)",
            [[0, ...$items]],
            [ArrayParameterType::INTEGER],
        ) as $columns) {
            $row = new Row($columns);
            if (\count($colours[$row->int('item_id')] ?? []) < self::MOST_COLOURS) {
                $colours[$row->int('item_id')][$row->text('colour')] = !$row->flag('is_beside');
            }
        }

        return $colours;
    }
}
