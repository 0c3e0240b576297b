<?php

declare(strict_types=1);

namespace App\Find;

use App\Database\Row;
use Doctrine\DBAL\Connection;

/** How many would be found if one filter more were set, or another value of it. */
final readonly class FacetReading
{
    private const UNUSED_MONTHS = [6, 12, 24];
    private const MOST_THEMES = 12;

    public function __construct(private Connection $database, private SpeltWords $words, private FilterSql $sql)
    {
    }

    public function counts(FindFilter $filter): FoundCounts
    {
        $rest = new FindFilter($filter->text, colour: $filter->colour, panel: $filter->panel);
        [$from, $values] = $this->sql->from($this->words->question($filter->text)->all(), $rest);
        $months = array_values(array_unique([...self::UNUSED_MONTHS, ...(null === $filter->unusedMonths ? [] : [$filter->unusedMonths])]));
        $unused = [];
        foreach ($months as $number) {
            $unused[] = FilterSql::unused("since{$number}")." AS unused{$number}";
            $values["since{$number}"] = $this->sql->monthsAgo($number);
        }
        $states = array_map(static fn (string $state): string => FilterSql::state($state)." AS $state", FindFilter::STATES);
        $columns = implode(', ', ['i.kind', 'i.themes', ...$states, ...$unused]);
        $groups = implode(', ', range(1, 2 + \count($states) + \count($unused)));
        $rows = $this->database->fetchAllAssociative("SELECT $columns, count(*) AS many FROM $from GROUP BY $groups", $values);

        return self::tally(Row::each($rows, static fn (Row $row): Row => $row), $filter);
    }

    /** @param list<Row> $rows items alike, with how many they are */
    private static function tally(array $rows, FindFilter $filter): FoundCounts
    {
        $kinds = $themes = [];
        $states = array_fill_keys(FindFilter::STATES, 0);
        $unused = array_fill_keys(self::UNUSED_MONTHS, 0);
        foreach ($rows as $row) {
            $many = $row->int('many');
            $own = $row->texts('themes');
            $misses = self::misses($row, $own, $filter);
            if ([] === array_diff($misses, ['kind'])) {
                $kinds[$row->text('kind')] = ($kinds[$row->text('kind')] ?? 0) + $many;
            }
            foreach ([] === array_diff($misses, ['theme']) ? $own : [] as $theme) {
                $themes[$theme] = ($themes[$theme] ?? 0) + $many;
            }
            foreach ([] === array_diff($misses, ['state']) ? FindFilter::STATES : [] as $state) {
                $states[$state] += $row->flag($state) ? $many : 0;
            }
            foreach ([] === array_diff($misses, ['unused']) ? self::UNUSED_MONTHS : [] as $months) {
                $unused[$months] += self::flag($row, "unused{$months}") ? $many : 0;
            }
        }
        arsort($kinds);
        arsort($themes);

        return new FoundCounts($kinds, \array_slice($themes, 0, self::MOST_THEMES, true), $states, $unused);
    }

    /**
     * @param list<string> $themes
     *
     * @return list<string> the filters that it does not pass
     */
    private static function misses(Row $row, array $themes, FindFilter $filter): array
    {
        $passes = [
            'kind' => null === $filter->kind || $row->text('kind') === $filter->kind->value,
            'theme' => '' === $filter->theme || \in_array($filter->theme, $themes, true),
            'state' => '' === $filter->state || $row->flag($filter->state),
            'unused' => null === $filter->unusedMonths || self::flag($row, "unused{$filter->unusedMonths}"),
        ];

        return array_keys(array_filter($passes, static fn (bool $pass): bool => !$pass));
    }

    /** What is not known of a thing that never came in is no. */
    private static function flag(Row $row, string $column): bool
    {
        return 1 === $row->intOrNull($column);
    }
}
