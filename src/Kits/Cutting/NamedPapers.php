<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Database\Row;
use App\Room\Catalogue\SheetColumns;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Cutting\SamePaper;

/** The papers of the room by what a person calls them. */
final readonly class NamedPapers
{
    private const MOST_NAMES = 4;

    public function __construct(private Connection $database)
    {
    }

    /**
     * Returns the paper that the words name: by its whole name, its colour, or words of its name. One paper in several sizes is one;
     * it is told by the one of which there is most.
     *
     * @throws InvalidPieces if there is none, or there are several
     */
    public function named(string $words): int
    {
        foreach ($this->ways($words) as $rows) {
            $papers = $this->different($rows);
            if (1 === \count($papers)) {
                return $papers[0]->int('id');
            }
            if ([] !== $papers) {
                $names = array_map(static fn (Row $row): string => $row->text('name'), \array_slice($papers, 0, self::MOST_NAMES));
                throw InvalidPieces::paperIsOneOf($words, $names);
            }
        }
        throw InvalidPieces::paperIsUnknown($words);
    }

    /** @return list<string> what papers are called, for a field that a name is typed into */
    public function names(): array
    {
        return Row::words($this->database->fetchFirstColumn(
            "SELECT DISTINCT name FROM item WHERE +kind = 'paper' AND parent_id IS NULL AND removed_at IS NULL ORDER BY name LIMIT 400",
        ));
    }

    /** @return array<int, string> the papers that a person can choose from, by name */
    public function choices(): array
    {
        $choices = [];
        foreach ($this->papers('', []) as $row) {
            $choices[$row->int('id')] = $row->text('name');
        }
        asort($choices, \SORT_NATURAL | \SORT_FLAG_CASE);

        return $choices;
    }

    /** @return iterable<list<Row>> the narrowest way of reading the words first */
    private function ways(string $words): iterable
    {
        $asked = mb_strtolower($words);
        yield $this->papers('AND lower(i.name) = :asked', ['asked' => $asked]);
        yield $this->papers('AND lower(i.colour_name) = :asked', ['asked' => $asked]);
        $each = preg_split('/[\s,;]+/u', $asked, -1, \PREG_SPLIT_NO_EMPTY) ?: [];
        $like = $values = [];
        foreach (\array_slice($each, 0, 8) as $at => $word) {
            $like[] = "AND instr(' ' || lower(i.name || ' ' || i.colour_name || ' ' || i.maker || ' ' || i.collection), ' ' || :w{$at}) > 0";
            $values['w'.$at] = $word;
        }
        yield $this->papers(implode(' ', $like), $values);
    }

    /**
     * @param array<string, string> $values
     *
     * @return list<Row> those of which most sheets are there first
     */
    private function papers(string $condition, array $values): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.*, s.in_room AS there FROM item i JOIN stock_of_item s ON s.item_id = i.id
             WHERE i.kind = 'paper' AND i.parent_id IS NULL AND i.removed_at IS NULL $condition ORDER BY there DESC, i.id LIMIT 400",
            $values,
        );

        return Row::each($rows, static fn (Row $row): Row => $row);
    }

    /**
     * @param list<Row> $rows
     *
     * @return list<Row> one of each paper
     */
    private function different(array $rows): array
    {
        $different = [];
        foreach ($rows as $row) {
            $isThere = array_filter($different, static fn (Row $other): bool => self::isSame($other, $row));
            $different = [] === $isThere ? [...$different, $row] : $different;
        }

        return $different;
    }

    private static function isSame(Row $one, Row $other): bool
    {
        $colour = static fn (Row $row): ?Lab => null === $row->textOrNull('colour') ? null : Lab::of(Srgb::ofHex($row->text('colour')));

        return SamePaper::is($colour($one), SheetColumns::read($one)->weight, $colour($other), SheetColumns::read($other)->weight);
    }
}
