<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\Row;
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
        $query = $this->words->question($filter->text)->all();
        [$kinds, $themes] = $this->kindsAndThemes($query, $filter);
        $states = [];
        foreach (FindFilter::STATES as $state) {
            [$from, $values] = $this->sql->counted($query, $filter->with(state: $state));
            $states[$state] = Row::number($this->database->fetchOne("SELECT count(*) FROM $from", $values));
        }

        return new FoundCounts($kinds, $themes, $states, $this->unused($query, $filter));
    }

    /** @return array{array<string, int>, array<string, int>} by kind, and by theme, those of which there are most first */
    private function kindsAndThemes(?string $query, FindFilter $filter): array
    {
        [$from, $values] = $this->sql->counted($query, $filter->with(kind: null, theme: ''));
        $kinds = $themes = [];
        foreach ($this->database->fetchAllAssociative("SELECT i.kind, i.themes, count(*) AS many FROM $from GROUP BY i.kind, i.themes", $values) as $columns) {
            $row = new Row($columns);
            [$many, $own] = [$row->int('many'), $row->texts('themes')];
            if ('' === $filter->theme || \in_array($filter->theme, $own, true)) {
                $kinds[$row->text('kind')] = ($kinds[$row->text('kind')] ?? 0) + $many;
            }
            foreach (null === $filter->kind || $row->text('kind') === $filter->kind->value ? $own : [] as $theme) {
                $themes[$theme] = ($themes[$theme] ?? 0) + $many;
            }
        }
        arsort($kinds);
        arsort($themes);

        return [$kinds, \array_slice($themes, 0, self::MOST_THEMES, true)];
    }

    /** @return array<int, int> by months */
    private function unused(?string $query, FindFilter $filter): array
    {
        [$from, $values] = $this->sql->counted($query, $filter->with(unusedMonths: null));
        $sums = [];
        foreach (self::UNUSED_MONTHS as $months) {
            $sums[] = 'coalesce(sum('.FilterSql::unused("since{$months}")."), 0) AS unused{$months}";
            $values["since{$months}"] = $this->sql->monthsAgo($months);
        }
        $row = new Row($this->database->fetchAssociative('SELECT '.implode(', ', $sums)." FROM $from", $values) ?: []);

        return array_combine(self::UNUSED_MONTHS, array_map(static fn (int $months): int => $row->int("unused{$months}"), self::UNUSED_MONTHS));
    }
}
