<?php

declare(strict_types=1);

namespace App\Upkeep\Figures;

use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Measure\Length;
use Lottel\Core\Upkeep\Figures\Proportion;

/** The figures of the room, month by month; kept until something of it changes. */
final readonly class FiguresReading
{
    private const NOT_REVERSED = 'NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)';

    public function __construct(private Connection $database, private Months $months, private KeptUntilChanged $kept)
    {
    }

    public function now(): RoomFigures
    {
        return $this->kept->get(RoomFigures::class, $this->months->since(), fn (): RoomFigures => new RoomFigures($this->byMonth(), $this->kinds()));
    }

    /** @return list<MonthFigures> */
    private function byMonth(): array
    {
        [$back, $right, $scraps, $areas, $saved] = [$this->back(), $this->right(), $this->scraps(), $this->areas(), $this->saved()];
        $before = array_sum(array_filter($saved, fn (string $month): bool => $month < $this->months->all()[0], \ARRAY_FILTER_USE_KEY));

        return array_map(static function (string $month) use ($back, $right, $scraps, $areas, $saved, &$before): MonthFigures {
            $before += $saved[$month] ?? 0;
            [$piece, $offcut, $waste] = $areas[$month] ?? [0, 0, 0];

            return new MonthFigures(
                $month,
                $back[$month] ?? new Proportion(0, 0),
                $right[$month] ?? new Proportion(0, 0),
                $scraps[$month][0] ?? 0,
                $scraps[$month][1] ?? 0,
                new Proportion($piece, $piece + $offcut + $waste),
                new Proportion($waste, $piece + $offcut + $waste),
                $before,
            );
        }, $this->months->all());
    }

    /** @return array<string, Proportion> of what came back, what was back within a day of being pulled, by month */
    private function back(): array
    {
        $rows = $this->rows(
            "SELECT substr(m.at, 1, 7) AS month, count(*) AS every, sum(coalesce(julianday(m.at) - julianday((SELECT max(p.at) FROM movement p
                 WHERE p.item_id = m.item_id AND +p.kit_id = m.kit_id AND +p.reason = 'pull' AND p.id < m.id)) <= 1, 0)) AS some
             FROM movement m WHERE m.at >= :since AND +m.reason = 'return' AND +m.kit_id IS NOT NULL AND ".self::NOT_REVERSED.' GROUP BY month',
        );

        return self::shares($rows);
    }

    /** @return array<string, Proportion> */
    private function right(): array
    {
        return self::shares($this->rows(
            'SELECT substr(at, 1, 7) AS month, sum(expected) AS every, sum(expected - min(wrong, expected)) AS some
             FROM place_count WHERE at >= :since GROUP BY month',
        ));
    }

    /** @return array<string, array{int, int}> how many scraps came and went, by month */
    private function scraps(): array
    {
        $scraps = [];
        foreach ($this->rows(
            "SELECT substr(c.at, 1, 7) AS month, sum(c.came) AS came, sum(c.went) AS went
             FROM came_and_went c JOIN item i ON i.id = c.item_id AND +i.kind = 'scrap' WHERE c.at >= :since AND c.stands GROUP BY month",
        ) as $row) {
            $scraps[$row->text('month')] = [$row->int('came'), $row->int('went')];
        }

        return $scraps;
    }

    /** @return array<string, array{int, int, int}> square millimetres that became pieces, offcuts and waste, by month */
    private function areas(): array
    {
        $areas = [];
        foreach ($this->rows(
            "SELECT substr(m.at, 1, 7) AS month,
                 sum(CASE WHEN c.fate = 'piece' THEN c.width * c.height * c.quantity ELSE 0 END) AS piece,
                 sum(CASE WHEN c.fate = 'offcut' THEN c.width * c.height * c.quantity ELSE 0 END) AS offcut,
                 sum(CASE WHEN c.fate = 'waste' THEN c.width * c.height * c.quantity ELSE 0 END) AS waste
             FROM cut_part c JOIN movement m ON m.id = c.cut_id WHERE m.at >= :since AND ".self::NOT_REVERSED.' GROUP BY month',
        ) as $row) {
            $areas[$row->text('month')] = array_map(
                static fn (string $fate): int => intdiv($row->int($fate), Length::TICKS_PER_MILLIMETRE ** 2),
                ['piece', 'offcut', 'waste'],
            );
        }

        return $areas;
    }

    /** @return array<string, int> seconds a month that moves of a month save from then on, as their plans said */
    private function saved(): array
    {
        $saved = [];
        foreach ($this->rows(
            "SELECT substr(e.ended_at, 1, 7) AS month,
                 CAST(round(sum(e.saves * (SELECT count(*) FROM errand_task t WHERE t.errand_id = e.id AND t.becomes_home AND t.state = 'done')
                     / (SELECT max(1, count(*)) FROM errand_task t WHERE t.errand_id = e.id AND t.becomes_home))) AS INTEGER) AS saves
             FROM errand e WHERE e.ended_at IS NOT NULL AND e.saves > 0 AND :since IS NOT NULL GROUP BY month",
        ) as $row) {
            $saved[$row->text('month')] = $row->int('saves');
        }

        return $saved;
    }

    /** @return list<KindUse> */
    private function kinds(): array
    {
        $kinds = [];
        foreach ($this->rows(
            "SELECT i.kind, count(*) AS every, coalesce(sum(i.used_at >= datetime(:since, '+6 months', '-12 months')), 0) AS some FROM item i
             WHERE i.removed_at IS NULL AND i.kind NOT IN ('scrap', 'finished piece', 'part-finished')
                AND EXISTS (SELECT 1 FROM balance b JOIN place p ON p.id = b.place_id AND p.nature <> 'outside' WHERE b.item_id = i.id)
             GROUP BY i.kind ORDER BY every DESC",
        ) as $row) {
            $kinds[] = new KindUse($row->one('kind', Kind::class), new Proportion($row->int('some'), $row->int('every')));
        }

        return $kinds;
    }

    /**
     * @param list<Row> $rows
     *
     * @return array<string, Proportion>
     */
    private static function shares(array $rows): array
    {
        $shares = [];
        foreach ($rows as $row) {
            $shares[$row->text('month')] = new Proportion($row->int('some'), $row->int('every'));
        }

        return $shares;
    }

    /** @return list<Row> */
    private function rows(string $sql): array
    {
        return Row::each($this->database->fetchAllAssociative($sql, ['since' => $this->months->since()]), static fn (Row $row): Row => $row);
    }
}
