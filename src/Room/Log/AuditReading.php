<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Cutting\CutAudit;
use Lottel\Core\Cutting\PartFate;
use Lottel\Core\Cutting\YieldedPart;
use Lottel\Core\Log\Audit;
use Lottel\Core\Log\Balances;
use Lottel\Core\Log\LoggedPlace;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Retracking;
use Lottel\Core\Log\Tracking;

/** Recomputes the balances from the log and has the core compare them with the stored ones, and judge each movement. */
final readonly class AuditReading
{
    public function __construct(private Connection $database, private Audit $audit = new Audit())
    {
    }

    public function report(): AuditReport
    {
        [$places, $retired] = $this->places();
        $trackings = [];
        foreach ($this->rows('SELECT id, tracking FROM item') as $row) {
            $trackings[$row->int('id')] = $row->one('tracking', Tracking::class);
        }
        [$recomputed, $movements, $unlawful] = $this->recompute($places, $retired, $trackings);
        $believed = [];
        foreach ($this->rows('SELECT item_id, place_id, quantity FROM balance') as $row) {
            $believed[$row->int('item_id')][$row->int('place_id')] = $row->int('quantity');
        }

        return new AuditReport(
            $movements,
            \count($trackings),
            \count(array_filter($places, static fn (LoggedPlace $place): bool => PlaceNature::Storage === $place->nature)),
            [...$this->audit->differences($believed, $recomputed->all(), $places, $trackings), ...$unlawful, ...$this->cuts()],
        );
    }

    /** @return array{array<int, LoggedPlace>, array<int, string>} the places, and since when those out of use are so */
    private function places(): array
    {
        $places = $retired = [];
        foreach ($this->rows('SELECT id, nature, kind, address, retired_at FROM place') as $row) {
            $place = PlaceInLog::of($row);
            $places[$place->id] = $place;
            if ($place->isRetired) {
                $retired[$place->id] = $row->text('retired_at');
            }
        }

        return [$places, $retired];
    }

    /**
     * @param array<int, LoggedPlace> $places
     * @param array<int, string> $retired since when, by place
     * @param array<int, Tracking> $trackings as things are counted now
     *
     * @return array{Balances, int, list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}>}
     */
    private function recompute(array $places, array $retired, array $trackings): array
    {
        $retrackings = $this->retrackings();
        foreach ($retrackings as $item => $changes) {
            $trackings[$item] = $changes[array_key_first($changes)][0]->from;
        }
        $balances = new Balances();
        $unlawful = [];
        $count = 0;
        foreach ($this->rows('SELECT id, item_id, quantity, from_id, to_id, reason, kit_id, at FROM movement ORDER BY id') as $row) {
            [$id, $item, $from, $to] = [$row->int('id'), $row->int('item_id'), $row->int('from_id'), $row->int('to_id')];
            $reason = $row->one('reason', Reason::class);
            $movement = Movement::recorded($item, $trackings[$item], $row->int('quantity'), $places[$from], $places[$to], $reason);
            $balances->apply($movement);
            $isLate = $row->text('at') > ($retired[$from] ?? '9999') || $row->text('at') > ($retired[$to] ?? '9999');
            $what = $this->audit->unlawful($movement, null !== $row->intOrNull('kit_id'), $isLate);
            if (null !== $what) {
                $unlawful[] = ['item' => $item, 'place' => $to, 'what' => "line {$id}: {$what}", 'believed' => $movement->quantity, 'recomputed' => 0];
            }
            foreach ($retrackings[$item][$id] ?? [] as $change) {
                $balances->convert($item, $change);
                $trackings[$item] = $change->to;
            }
            ++$count;
        }

        return [$balances, $count, $unlawful];
    }

    /** @return list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}> cuts that break the fifth law */
    private function cuts(): array
    {
        $parts = $came = $wrong = [];
        foreach (
            $this->rows('SELECT c.*, coalesce(m.quantity, 0) AS came FROM cut_part c LEFT JOIN movement m ON m.id = c.movement_id ORDER BY c.id') as $row
        ) {
            $fate = $row->one('fate', PartFate::class);
            $parts[$row->int('cut_id')][] = new YieldedPart($fate, $row->int('width'), $row->int('height'), $row->int('quantity'));
            $came[$row->int('cut_id')][] = $row->int('came');
        }
        $cuts = "SELECT m.id, m.item_id, m.quantity, c.width, c.height, c.sheets FROM movement m JOIN place t ON t.id = m.to_id
            LEFT JOIN cut c ON c.movement_id = m.id WHERE m.reason = 'cut' AND t.nature = 'outside' ORDER BY m.id";
        foreach ($this->rows($cuts) as $row) {
            $line = $row->int('id');
            $what = null === $row->intOrNull('sheets')
                ? 'a cut that does not say what it left'
                : CutAudit::wrong($row->int('width'), $row->int('height'), $row->int('sheets'), $row->int('quantity'), $parts[$line] ?? [], $came[$line] ?? []);
            if (null !== $what) {
                $wrong[] = [
                    'item' => $row->int('item_id'),
                    'place' => null,
                    'what' => "line {$line}: {$what}",
                    'believed' => $row->int('quantity'),
                    'recomputed' => 0,
                ];
            }
        }
        $made = "SELECT m.id, m.item_id, m.quantity FROM movement m JOIN place f ON f.id = m.from_id WHERE m.reason = 'cut' AND f.nature = 'outside'
            AND NOT EXISTS (SELECT 1 FROM cut_part c WHERE c.movement_id = m.id)";
        foreach ($this->rows($made) as $row) {
            $what = \sprintf('line %d: cut from nothing', $row->int('id'));
            $wrong[] = ['item' => $row->int('item_id'), 'place' => null, 'what' => $what, 'believed' => $row->int('quantity'), 'recomputed' => 0];
        }

        return $wrong;
    }

    /** @return array<int, non-empty-array<int, non-empty-list<Retracking>>> by item and the movement after which they hold */
    private function retrackings(): array
    {
        $changes = [];
        foreach ($this->rows('SELECT item_id, movement_id, from_tracking, to_tracking, was, becomes FROM retracking ORDER BY id') as $row) {
            $changes[$row->int('item_id')][$row->int('movement_id')][] = Retracking::of(
                $row->one('from_tracking', Tracking::class),
                $row->one('to_tracking', Tracking::class),
                $row->int('was'),
                $row->int('becomes'),
            );
        }

        return $changes;
    }

    /** @return iterable<Row> */
    private function rows(string $sql): iterable
    {
        foreach ($this->database->iterateAssociative($sql) as $columns) {
            yield new Row($columns);
        }
    }
}
