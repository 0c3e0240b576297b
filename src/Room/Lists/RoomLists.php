<?php

declare(strict_types=1);

namespace App\Room\Lists;

use App\Platform\Database\Row;
use App\Platform\Web\ColumnKind as K;
use App\Platform\Web\Measures;
use App\Platform\Web\Table;
use Doctrine\DBAL\Connection;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;

/** The lists of the room, with columns that stay the same (docs/lists.md). Lengths are in millimetres, moments in UTC. */
final readonly class RoomLists
{
    private const NAMES = [
        'catalogue' => 'All things, where they live, how much of them there is',
        'places' => 'All places, with their inner measures',
        'kits' => 'All kits',
        'kit-lists' => 'What is on the lists of the kits',
        'log' => 'The whole log, line by line',
        'cuts' => 'What was cut, and what it left',
        'prices' => 'What was paid',
        'dates' => 'People and their dates',
        'gifts' => 'Where finished pieces went',
        'loans' => 'What is lent and borrowed',
    ];

    private const INSIDE = '(SELECT s.in_room FROM stock_of_item s WHERE s.item_id = i.id)';

    public function __construct(private Connection $database, private Measures $measures)
    {
    }

    /** @return array<string, string> what each is, by its name */
    public static function names(): array
    {
        return self::NAMES;
    }

    public function named(string $name): ?Table
    {
        return match ($name) {
            'catalogue' => $this->catalogue(),
            'places' => $this->places(),
            'kits' => $this->kits(),
            'kit-lists' => $this->kitLists(),
            'log' => $this->log(),
            'cuts' => $this->cuts(),
            'prices' => $this->prices(),
            'dates' => $this->dates(),
            'gifts' => $this->gifts(),
            'loans' => $this->loans(),
            default => null,
        };
    }

    private function catalogue(): Table
    {
        $columns = [
            'number' => K::Whole, 'name' => K::Text, 'kind' => K::Text, 'maker' => K::Text, 'home' => K::Text, 'quantity' => K::Number,
            'quantity in words' => K::Text, 'counted' => K::Text, 'themes' => K::Text, 'colour' => K::Text, 'colour name' => K::Text,
            'sheet width mm' => K::Number, 'sheet height mm' => K::Number, 'weight g/m2' => K::Number, 'words' => K::Text, 'collection' => K::Text,
            'season' => K::Text, 'note' => K::Text, 'in since' => K::Moment, 'last used' => K::Moment,
        ];

        return $this->table('catalogue', $columns, 'SELECT i.*, h.address AS home, coalesce('.self::INSIDE.', 0) AS inside FROM item i
            LEFT JOIN place h ON h.id = i.home_id WHERE i.removed_at IS NULL ORDER BY i.id', fn (Row $row): array => [
            $row->int('id'), $row->text('name'), $row->text('kind'), $row->text('maker'), $row->textOrNull('home'),
            ...$this->quantity($row, 'inside'), $row->text('tracking'), implode(', ', $row->texts('themes')), $row->textOrNull('colour'),
            $row->text('colour_name'), self::millimetres($row->intOrNull('sheet_width')), self::millimetres($row->intOrNull('sheet_height')),
            null === $row->intOrNull('grammage') ? null : round($row->int('grammage') / 1000, 1), $row->text('sentiments'), $row->text('collection'),
            $row->text('season'), $row->text('note'), self::moment($row->textOrNull('since')), self::moment($row->textOrNull('used_at')),
        ]);
    }

    private function places(): Table
    {
        $columns = [
            'address' => K::Text, 'name' => K::Text, 'kind' => K::Text, 'unit' => K::Text, 'inside' => K::Text, 'filed by' => K::Text,
            'width mm' => K::Number, 'height mm' => K::Number, 'depth mm' => K::Number, 'most g' => K::Whole, 'things' => K::Whole,
        ];

        return $this->table('places', $columns, "SELECT p.*, u.name AS unit, o.address AS outer,
                (SELECT count(*) FROM balance b WHERE b.place_id = p.id) AS things FROM place p JOIN unit u ON u.id = p.unit_id
                LEFT JOIN place o ON o.id = p.parent_id WHERE p.nature = 'storage' AND p.retired_at IS NULL ORDER BY p.id", static fn (Row $row): array => [
            $row->text('address'), $row->text('name'), $row->text('kind'), $row->text('unit'), $row->textOrNull('outer'), $row->text('scheme'),
            self::millimetres($row->intOrNull('inner_width')), self::millimetres($row->intOrNull('inner_height')),
            self::millimetres($row->intOrNull('inner_depth')), $row->intOrNull('most_grams'), $row->int('things'),
        ]);
    }

    private function kits(): Table
    {
        $columns = [
            'number' => K::Whole, 'name' => K::Text, 'stage' => K::Text, 'makes' => K::Text, 'due' => K::Day, 'for whom' => K::Text,
            'occasion' => K::Text, 'tray' => K::Text, 'planned' => K::Moment, 'closed' => K::Moment, 'note' => K::Text,
        ];

        return $this->table('kits', $columns, 'SELECT k.*, t.address AS tray FROM kit k LEFT JOIN place t ON t.id = k.tray_id
            WHERE k.removed_at IS NULL ORDER BY k.id', static fn (Row $row): array => [
            $row->int('id'), $row->text('name'), $row->text('stage'), $row->text('makes'), $row->textOrNull('due_on'), $row->text('for_whom'),
            $row->text('occasion'), $row->textOrNull('tray'), self::moment($row->text('created_at')), self::moment($row->textOrNull('closed_at')),
            $row->text('note'),
        ]);
    }

    private function kitLists(): Table
    {
        $columns = [
            'kit number' => K::Whole, 'kit' => K::Text, 'item number' => K::Whole, 'item' => K::Text, 'quantity' => K::Number,
            'quantity in words' => K::Text, 'state' => K::Text,
        ];

        return $this->table('kit-lists', $columns, 'SELECT n.*, k.name AS kit, i.name AS item, i.tracking FROM need n JOIN kit k ON k.id = n.kit_id
            JOIN item i ON i.id = n.item_id WHERE k.removed_at IS NULL ORDER BY n.kit_id, n.id', fn (Row $row): array => [
            $row->int('kit_id'), $row->text('kit'), $row->int('item_id'), $row->text('item'), ...$this->quantity($row, 'quantity'), $row->text('state'),
        ]);
    }

    private function log(): Table
    {
        $columns = [
            'line' => K::Whole, 'when' => K::Moment, 'who' => K::Text, 'why' => K::Text, 'item number' => K::Whole, 'item' => K::Text,
            'quantity' => K::Number, 'quantity in words' => K::Text, 'from' => K::Text, 'to' => K::Text, 'kit' => K::Text, 'note' => K::Text,
            'puts right line' => K::Whole,
        ];

        return $this->table('log', $columns, 'SELECT m.*, a.name AS who, i.name AS item, i.tracking, f.address AS "from", t.address AS "to", k.name AS kit
            FROM movement m JOIN account a ON a.id = m.account_id JOIN item i ON i.id = m.item_id JOIN place f ON f.id = m.from_id
            JOIN place t ON t.id = m.to_id LEFT JOIN kit k ON k.id = m.kit_id ORDER BY m.id', fn (Row $row): array => [
            $row->int('id'), self::moment($row->text('at')), $row->text('who'), $row->text('reason'), $row->int('item_id'), $row->text('item'),
            ...$this->quantity($row, 'quantity'), RetiredAddress::onLabel($row->text('from')), RetiredAddress::onLabel($row->text('to')),
            $row->textOrNull('kit'), $row->text('note'), $row->intOrNull('reverses_id'),
        ]);
    }

    private function cuts(): Table
    {
        $columns = [
            'line' => K::Whole, 'when' => K::Moment, 'paper' => K::Text, 'sheets' => K::Whole, 'sheet width mm' => K::Number,
            'sheet height mm' => K::Number, 'left' => K::Text, 'width mm' => K::Number, 'height mm' => K::Number, 'pieces' => K::Whole,
        ];

        return $this->table('cuts', $columns, 'SELECT c.movement_id, m.at, i.name AS paper, c.sheets, c.width AS sheet_width, c.height AS sheet_height,
                p.fate, p.width, p.height, p.quantity FROM cut c JOIN movement m ON m.id = c.movement_id JOIN item i ON i.id = m.item_id
                JOIN cut_part p ON p.cut_id = c.movement_id ORDER BY c.movement_id, p.id', static fn (Row $row): array => [
            $row->int('movement_id'), self::moment($row->text('at')), $row->text('paper'), $row->int('sheets'),
            self::millimetres($row->int('sheet_width')), self::millimetres($row->int('sheet_height')), $row->text('fate'),
            self::millimetres($row->int('width')), self::millimetres($row->int('height')), $row->int('quantity'),
        ]);
    }

    private function prices(): Table
    {
        $columns = [
            'item number' => K::Whole, 'item' => K::Text, 'day' => K::Day, 'price' => K::Money, 'for' => K::Number, 'for in words' => K::Text,
            'shop' => K::Text,
        ];

        return $this->table(
            'prices',
            $columns,
            'SELECT r.*, i.name AS item, i.tracking FROM price r JOIN item i ON i.id = r.item_id ORDER BY r.day, r.id',
            fn (Row $row): array => [
                $row->int('item_id'), $row->text('item'), $row->text('day'), $row->int('cents') / 100, ...$this->quantity($row, 'quantity'), $row->text('shop'),
            ]
        );
    }

    private function dates(): Table
    {
        $columns = [
            'person' => K::Text, 'likes' => K::Text, 'date' => K::Text, 'kind' => K::Text, 'month' => K::Whole, 'day' => K::Whole, 'year' => K::Whole,
            'each year' => K::Text, 'wants' => K::Text, 'pieces' => K::Whole,
        ];

        return $this->table('dates', $columns, 'SELECT c.name AS person, c.likes, o.* FROM occasion o LEFT JOIN contact c ON c.id = o.contact_id
            WHERE o.removed_at IS NULL ORDER BY o.month, o.day, o.id', static fn (Row $row): array => [
            $row->textOrNull('person'), $row->textOrNull('likes'), $row->text('name'), $row->text('kind'), $row->int('month'), $row->int('day'),
            $row->intOrNull('year'), $row->flag('is_yearly') ? 'yes' : 'no', $row->text('wants'), $row->int('pieces'),
        ]);
    }

    private function gifts(): Table
    {
        $columns = [
            'piece' => K::Text, 'how' => K::Text, 'to whom' => K::Text, 'occasion' => K::Text, 'day' => K::Day, 'quantity' => K::Whole, 'price' => K::Money,
            'note' => K::Text,
        ];

        return $this->table('gifts', $columns, 'SELECT g.*, i.name AS piece, c.name AS person, o.name AS occasion FROM gift g JOIN item i ON i.id = g.item_id
            LEFT JOIN contact c ON c.id = g.contact_id LEFT JOIN occasion o ON o.id = g.occasion_id ORDER BY g.day, g.id', static fn (Row $row): array => [
            $row->text('piece'), $row->text('way'), $row->textOrNull('person'), $row->textOrNull('occasion'), $row->text('day'), $row->int('quantity'),
            null === $row->intOrNull('cents') ? null : $row->int('cents') / 100, $row->text('note'),
        ]);
    }

    private function loans(): Table
    {
        $columns = [
            'item' => K::Text, 'how' => K::Text, 'person' => K::Text, 'quantity' => K::Number, 'quantity in words' => K::Text, 'since' => K::Day,
            'until' => K::Day, 'settled' => K::Text, 'note' => K::Text,
        ];

        return $this->table('loans', $columns, 'SELECT l.*, i.name AS item, i.tracking, c.name AS person FROM loan l JOIN item i ON i.id = l.item_id
            JOIN contact c ON c.id = l.contact_id ORDER BY l.since, l.id', fn (Row $row): array => [
            $row->text('item'), $row->text('way'), $row->text('person'), ...$this->quantity($row, 'quantity'), $row->text('since'),
            $row->textOrNull('until'), $row->int('ended') >= $row->int('quantity') ? 'yes' : 'no', $row->text('note'),
        ]);
    }

    /**
     * @param array<string, K> $columns
     * @param callable(Row): list<float|int|string|null> $cells
     */
    private function table(string $name, array $columns, string $sql, callable $cells): Table
    {
        $rows = (function () use ($sql, $cells): iterable {
            foreach ($this->database->iterateAssociative($sql) as $row) {
                yield $cells(new Row($row));
            }
        })();

        return new Table($name, $columns, $rows);
    }

    /** @return array{float|int, string} as a number (pieces, millimetres, or how full from 0 to 1), and in words */
    private function quantity(Row $row, string $column): array
    {
        $quantity = $row->int($column);
        $tracking = $row->one('tracking', Tracking::class);
        $number = match ($tracking) {
            Tracking::Length => (float) self::millimetres($quantity),
            Tracking::Level => $quantity / Tracking::FULL,
            default => $quantity,
        };

        return [$number, 0 === $quantity ? 'none' : $this->measures->quantities()->print($quantity, $tracking)];
    }

    private static function millimetres(?int $ticks): ?float
    {
        return null === $ticks ? null : round(Length::ofTicks($ticks)->millimetres(), 3);
    }

    private static function moment(?string $stored): ?string
    {
        return null === $stored ? null : str_replace(' ', 'T', $stored).'Z';
    }
}
