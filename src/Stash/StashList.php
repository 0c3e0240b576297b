<?php

declare(strict_types=1);

namespace App\Stash;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Stash\Headings;
use Lottel\Core\Stash\StashField;
use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** Somebody's list on its way into the room: what its columns say, what was mended, and what is in already. */
#[Exclude]
final class StashList
{
    public bool $hasHeadings = true;

    /** @var list<StashField|null> */
    public array $columns = [];

    public ?Kind $kind = null;
    public Doubles $doubles = Doubles::Add;

    /** @var array<string, string> the address of a place by what the list calls it, in small letters; empty for what is not filed */
    public array $places = [];

    /** @var array<int, list<string>> cells by row */
    public array $mended = [];

    /** @var list<array{string, list<int>}> request ids with the rows that they take in */
    public array $runs = [];

    /** @param list<string> $headings the cells of its first row */
    public function __construct(
        public readonly string $id,
        public readonly int $account,
        public readonly string $file,
        public readonly int $rows,
        public readonly int $formulas,
        public readonly array $headings,
    ) {
    }

    /** Tells by the first row what the columns say. */
    public function guess(): void
    {
        $this->hasHeadings = Headings::areHeadings(...$this->headings);
        $this->columns = $this->hasHeadings ? Headings::match($this->headings) : array_fill(0, \count($this->headings), null);
        if (!\in_array(StashField::Name, $this->columns, true) && [] !== $this->columns) {
            $free = array_search(null, $this->columns, true);
            $columns = $this->columns;
            $columns[false === $free ? 0 : $free] = StashField::Name;
            $this->columns = array_values($columns);
        }
    }

    /** @return list<string> what bare numbers of each column are measured in */
    public function units(): array
    {
        return $this->hasHeadings ? array_map(Headings::unit(...), $this->headings) : array_fill(0, \count($this->headings), '');
    }

    /** In which column a field is said, -1 where in none. */
    public function column(StashField $field): int
    {
        $column = array_search($field, $this->columns, true);

        return false === $column ? -1 : (int) $column;
    }

    /** How many things it may have at the most. */
    public function things(): int
    {
        return $this->rows - ($this->hasHeadings ? 1 : 0);
    }

    public function json(): string
    {
        return json_encode([
            'account' => $this->account,
            'file' => $this->file,
            'rows' => $this->rows,
            'formulas' => $this->formulas,
            'headings' => $this->headings,
            'has_headings' => $this->hasHeadings,
            'columns' => array_map(static fn (?StashField $field): string => $field->value ?? '', $this->columns),
            'kind' => $this->kind->value ?? '',
            'doubles' => $this->doubles->value,
            'places' => (object) $this->places,
            'mended' => (object) $this->mended,
            'runs' => $this->runs,
        ], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
    }

    /** Reads what json() has written. */
    public static function read(string $id, string $json): self
    {
        /**
         * @var array{account: int, file: string, rows: int, formulas: int, headings: list<string>, has_headings: bool, columns: list<string>,
         *     kind: string, doubles: string, places: array<string, string>, mended: array<int, list<string>>, runs: list<array{string, list<int>}>} $said
         */
        $said = json_decode($json, true, 16, \JSON_THROW_ON_ERROR);
        $list = new self($id, $said['account'], $said['file'], $said['rows'], $said['formulas'], $said['headings']);
        $list->hasHeadings = $said['has_headings'];
        $list->columns = array_map(StashField::tryFrom(...), $said['columns']);
        $list->kind = Kind::tryFrom($said['kind']);
        $list->doubles = Doubles::from($said['doubles']);
        [$list->places, $list->mended, $list->runs] = [$said['places'], $said['mended'], $said['runs']];

        return $list;
    }
}
