<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\ListImport\Headings;
use Lottel\Core\ListImport\ListField;
use Lottel\Core\Paper\Basis;
use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** Somebody's list on its way into the room: what its columns say, what was mended, and what is in already. */
#[Exclude]
final class ImportedList
{
    private const ROWS_SEEN = 12;

    /** The row of its headings, from 1; 0 where it has none. */
    public int $headingRow = 0;

    /** @var list<string> empty ones where it has none */
    public array $headings = [];

    /** @var list<ListField|null> */
    public array $columns = [];

    public ?Kind $kind = null;
    public DoublesOnList $doubles = DoublesOnList::Add;

    /** Of what pounds are that do not say it. */
    public Basis $pounds = Basis::Cover;

    /** @var list<int> rows that look as if they stood between things, and are things nevertheless */
    public array $nevertheless = [];

    /** @var array<string, string> the address of a place by what the list calls it, in small letters; empty for what is not filed */
    public array $places = [];

    /** @var array<int, list<string>> cells by row */
    public array $mended = [];

    /** @var list<array{string, list<int>}> request ids with the rows that they take in */
    public array $runs = [];

    /**
     * @param int $width how many columns it has
     * @param list<list<string>> $begins its first rows
     */
    public function __construct(
        public readonly string $id,
        public readonly int $account,
        public readonly string $file,
        public readonly int $rows,
        public readonly int $formulas,
        public readonly int $width,
        public readonly array $begins,
    ) {
    }

    /** How many of its first rows are looked at for headings. */
    public static function rowsSeen(): int
    {
        return self::ROWS_SEEN;
    }

    /** Tells by its first rows which of them has the headings, and by these what the columns say. */
    public function guess(): void
    {
        $this->takeHeadings(Headings::row($this->begins));
    }

    /** @param int $row from 1, 0 for none */
    public function takeHeadings(int $row): void
    {
        $this->headingRow = $row;
        $this->headings = \array_slice(array_pad($this->begins[$row - 1] ?? [], $this->width, ''), 0, $this->width);
        $this->columns = Headings::match($this->headings);
        if (!\in_array(ListField::Name, $this->columns, true) && [] !== $this->columns) {
            $free = array_search(null, $this->columns, true);
            $columns = $this->columns;
            $columns[false === $free ? 0 : $free] = ListField::Name;
            $this->columns = array_values($columns);
        }
    }

    /** @return list<string> what bare numbers of each column are measured in */
    public function units(): array
    {
        return array_map(Headings::unit(...), $this->headings);
    }

    /** In which column a field is said, -1 where in none. */
    public function column(ListField $field): int
    {
        $column = array_search($field, $this->columns, true);

        return false === $column ? -1 : (int) $column;
    }

    /** @param list<string> $cells of the row as they stand */
    public function mend(int $row, ListField $field, array $cells, string $text): void
    {
        $column = $this->column($field);
        if ($column >= 0) {
            $cells = array_pad($cells, $column + 1, '');
            $cells[$column] = $text;
            $this->mended[$row] = array_values($cells);
        }
    }

    /** How many things it may have at the most. */
    public function things(): int
    {
        return $this->rows - $this->headingRow;
    }

    public function json(): string
    {
        return json_encode([
            'account' => $this->account,
            'file' => $this->file,
            'rows' => $this->rows,
            'formulas' => $this->formulas,
            'width' => $this->width,
            'begins' => $this->begins,
            'heading_row' => $this->headingRow,
            'columns' => array_map(static fn (?ListField $field): string => $field->value ?? '', $this->columns),
            'kind' => $this->kind->value ?? '',
            'doubles' => $this->doubles->value,
            'pounds' => $this->pounds->value,
            'things' => $this->nevertheless,
            'places' => (object) $this->places,
            'mended' => (object) $this->mended,
            'runs' => $this->runs,
        ], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
    }

    /** Reads what json() has written. */
    public static function read(string $id, string $json): self
    {
        /**
         * @var array{account: int, file: string, rows: int, formulas: int, width: int, begins: list<list<string>>, heading_row: int,
         *     columns: list<string>, kind: string, doubles: string, pounds: string, things: list<int>, places: array<string, string>,
         *     mended: array<int, list<string>>, runs: list<array{string, list<int>}>} $said
         */
        $said = self::ofToday(json_decode($json, true, 16, \JSON_THROW_ON_ERROR));
        $list = new self($id, $said['account'], $said['file'], $said['rows'], $said['formulas'], $said['width'], $said['begins']);
        $list->takeHeadings($said['heading_row']);
        $list->columns = array_map(ListField::tryFrom(...), $said['columns']);
        $list->pounds = Basis::from($said['pounds']);
        $list->nevertheless = $said['things'];
        $list->kind = Kind::tryFrom($said['kind']);
        $list->doubles = DoublesOnList::from($said['doubles']);
        [$list->places, $list->mended, $list->runs] = [$said['places'], $said['mended'], $said['runs']];

        return $list;
    }

    /** A list that an earlier version has kept knows of its first row alone. */
    private static function ofToday(mixed $said): mixed
    {
        if (!\is_array($said) || isset($said['width'])) {
            return $said;
        }
        $headings = \is_array($said['headings'] ?? null) ? $said['headings'] : [];
        $row = true === ($said['has_headings'] ?? false) ? 1 : 0;

        return ['width' => \count($headings), 'begins' => [$headings], 'heading_row' => $row, 'pounds' => Basis::Cover->value, 'things' => []] + $said;
    }
}
