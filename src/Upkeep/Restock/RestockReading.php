<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Upkeep\Restock\BurnRate;
use Lottel\Core\Upkeep\Restock\Forecast;
use Lottel\Core\Upkeep\Restock\PackPrice;
use Lottel\Core\Upkeep\Restock\StockRule;
use Symfony\Component\Clock\ClockInterface;

/** What is used up and when it runs out, from the log; kept until something of the room changes. */
final readonly class RestockReading
{
    private const WEEKS = 52;
    private const SHOWN_WEEKS = 12;
    private const MOST = 60;

    public function __construct(
        private Connection $database,
        private KeptUntilChanged $kept,
        private ClockInterface $clock,
    ) {
    }

    /** @return list<StockRow> those that are to be ordered soonest first */
    public function all(): array
    {
        return $this->kept->get(Stocks::class, $this->clock->now()->format('Y-m-d'), fn (): Stocks => new Stocks($this->found()))->rows;
    }

    /** @return list<StockRow> */
    private function found(): array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $first = $this->database->fetchOne('SELECT min(at) FROM movement');
        $began = \is_string($first) ? new \DateTimeImmutable($first, new \DateTimeZone('UTC')) : $now;
        $weeks = min(self::WEEKS, intdiv((int) $began->diff($now)->days, 7));
        $rates = [];
        foreach ($this->used($now, $weeks) as $item => $used) {
            $rates[$item] = BurnRate::of($used, StockRow::WEEKS);
        }
        $rates = array_filter($rates, static fn (?BurnRate $rate): bool => null !== $rate);
        $soonest = $this->soonest($rates);
        $levels = $this->levels($now, array_keys($soonest));
        $rows = [];
        foreach ($this->rows(array_keys($soonest)) as $row) {
            $item = $row->int('item_id');
            $rows[] = $this->row($row, $soonest[$item], $levels[$item] ?? []);
        }
        usort($rows, static fn (StockRow $a, StockRow $b): int => [$a->forecast->orderIn, $a->forecast->out, $a->thing->id]
            <=> [$b->forecast->orderIn, $b->forecast->out, $b->thing->id]);

        return $rows;
    }

    /** @param list<int> $levels */
    private function row(Row $row, Forecast $forecast, array $levels): StockRow
    {
        $tracking = $row->one('tracking', Tracking::class);
        $area = null === $row->intOrNull('sheet_width') || null === $row->intOrNull('sheet_height')
            ? null
            : $row->int('sheet_width') * $row->int('sheet_height');
        $price = static fn (?int $cents, ?int $of): ?PackPrice => null === $cents || null === $of ? null : new PackPrice($cents, $of, $tracking, $area);

        return new StockRow(
            ThingLine::of($row),
            $forecast,
            $levels,
            $price($row->intOrNull('cents'), $row->intOrNull('price_of')),
            $row->textOrNull('shop') ?? '',
            $price($row->intOrNull('ceiling_cents'), $row->intOrNull('ceiling_of')),
        );
    }

    /**
     * @param array<int, BurnRate> $rates
     *
     * @return array<int, Forecast> of those that are to be ordered soonest, by item
     */
    private function soonest(array $rates): array
    {
        $forecasts = [];
        foreach ($this->left(array_keys($rates)) as $item => [$left, $wanted, $rule]) {
            $forecasts[$item] = new Forecast($left, $rates[$item], $rule, $wanted);
        }
        uasort($forecasts, static fn (Forecast $a, Forecast $b): int => [$a->orderIn, $a->out] <=> [$b->orderIn, $b->out]);

        return \array_slice($forecasts, 0, self::MOST, true);
    }

    /**
     * @param list<int> $items
     *
     * @return iterable<int, array{int, int, StockRule}> what is left of a thing, what kits want of it, and what is kept, by item
     */
    private function left(array $items): iterable
    {
        foreach (array_chunk($items, 500) as $some) {
            $rows = $this->database->fetchAllAssociative(
                "SELECT i.id, coalesce(r.spare, 0) AS spare, r.lead_days, s.in_room AS left,
                    CASE WHEN i.tracking IN ('count', 'length') THEN s.wanted ELSE 0 END AS wanted
                 FROM item i JOIN stock_of_item s ON s.item_id = i.id
                 LEFT JOIN stock_rule r ON r.item_id = i.id WHERE i.id IN (".implode(', ', $some).') AND i.removed_at IS NULL',
            );
            foreach ($rows as $columns) {
                $row = new Row($columns);
                $rule = new StockRule($row->int('spare'), $row->intOrNull('lead_days') ?? StockRule::USUAL_LEAD_DAYS);
                yield $row->int('id') => [$row->int('left'), $row->int('wanted'), $rule];
            }
        }
    }

    /**
     * @param list<int> $items
     *
     * @return list<Row> with their last prices and what is said of them
     */
    private function rows(array $items): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", i.sheet_width, i.sheet_height, r.ceiling_cents, r.ceiling_of,
                (SELECT p.cents FROM price p WHERE p.item_id = i.id ORDER BY p.day DESC, p.id DESC LIMIT 1) AS cents,
                (SELECT p.quantity FROM price p WHERE p.item_id = i.id ORDER BY p.day DESC, p.id DESC LIMIT 1) AS price_of,
                (SELECT p.shop FROM price p WHERE p.item_id = i.id AND p.shop <> '' ORDER BY p.day DESC, p.id DESC LIMIT 1) AS shop
             FROM item i LEFT JOIN place h ON h.id = i.home_id LEFT JOIN stock_rule r ON r.item_id = i.id
             WHERE i.id IN (".implode(', ', [0, ...$items]).')',
        );

        return Row::each($rows, static fn (Row $row): Row => $row);
    }

    /**
     * @return array<int, list<int>> what was used up, cut, or counted as used without a word, week by week, by item
     */
    private function used(\DateTimeImmutable $now, int $weeks): array
    {
        $rows = 0 === $weeks ? [] : $this->database->fetchAllNumeric(
            "SELECT u.item_id, CAST((julianday(:now) - julianday(u.at)) / 7 AS INTEGER) AS ago, sum(u.quantity)
             FROM use_of_item u JOIN item i ON i.id = u.item_id AND i.kind NOT IN ('scrap', 'finished piece', 'part-finished') AND i.tracking <> 'one'
             WHERE u.at > :since GROUP BY u.item_id, ago",
            ['now' => $now->format('Y-m-d H:i:s'), 'since' => $now->modify(\sprintf('-%d weeks', $weeks))->format('Y-m-d H:i:s')],
        );
        $used = [];
        foreach ($rows as [$item, $ago, $quantity]) {
            $used[Row::number($item)] ??= array_fill(0, $weeks, 0);
            $used[Row::number($item)][$weeks - 1 - min($weeks - 1, Row::number($ago))] += Row::number($quantity);
        }

        return array_map(array_values(...), $used);
    }

    /**
     * How much there was of a thing at the end of each of the last weeks, reckoned back from what there is now.
     *
     * @param list<int> $items
     *
     * @return array<int, list<int>> by item
     */
    private function levels(\DateTimeImmutable $now, array $items): array
    {
        $rows = $this->database->fetchAllNumeric(
            'SELECT c.item_id, CAST((julianday(:now) - julianday(c.at)) / 7 AS INTEGER) AS ago, sum(c.came) - sum(c.went)
             FROM came_and_went c WHERE c.item_id IN ('.implode(', ', [0, ...$items]).') AND c.at > :since GROUP BY c.item_id, ago',
            ['now' => $now->format('Y-m-d H:i:s'), 'since' => $now->modify(\sprintf('-%d weeks', self::SHOWN_WEEKS))->format('Y-m-d H:i:s')],
        );
        $change = [];
        foreach ($rows as [$item, $ago, $net]) {
            $change[Row::number($item)][Row::number($ago)] = (int) Row::word($net);
        }
        $levels = [];
        foreach ($this->left($items) as $item => [$left]) {
            $levels[$item] = [$left];
            for ($ago = 0; $ago < self::SHOWN_WEEKS - 1; ++$ago) {
                $left -= $change[$item][$ago] ?? 0;
                array_unshift($levels[$item], max(0, $left));
            }
        }

        return $levels;
    }
}
