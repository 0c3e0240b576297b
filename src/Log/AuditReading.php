<?php

declare(strict_types=1);

namespace App\Log;

use App\Stores\Place as PlaceEntity;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Audit;
use Lottel\Core\Log\Balances;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\Place;
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

    /** @return array{movements: int, items: int, places: int, differences: list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}>} */
    public function report(): array
    {
        $places = $retired = [];
        foreach ($this->database->iterateAssociative('SELECT id, nature, address, retired_at FROM place') as $row) {
            $id = (int) $row['id'];
            $places[$id] = new Place($id, PlaceNature::from((string) $row['nature']), PlaceEntity::shownAddress((string) $row['address']), null !== $row['retired_at']);
            if (null !== $row['retired_at']) {
                $retired[$id] = (string) $row['retired_at'];
            }
        }
        $trackings = array_map(static fn (mixed $tracking): Tracking => Tracking::from((string) $tracking), $this->database->fetchAllKeyValue('SELECT id, tracking FROM item'));
        [$recomputed, $movements, $unlawful] = $this->recompute($places, $retired, $trackings);
        $believed = [];
        foreach ($this->database->iterateAssociative('SELECT item_id, place_id, quantity FROM balance') as $row) {
            $believed[(int) $row['item_id']][(int) $row['place_id']] = (int) $row['quantity'];
        }

        return [
            'movements' => $movements,
            'items' => \count($trackings),
            'places' => \count(array_filter($places, static fn (Place $place): bool => PlaceNature::Storage === $place->nature)),
            'differences' => [...$this->audit->differences($believed, $recomputed->all(), $places, $trackings), ...$unlawful],
        ];
    }

    /**
     * @param array<int, Place> $places
     * @param array<int, string> $retired since when, by place
     * @param array<int, Tracking> $trackings as things are counted now
     *
     * @return array{Balances, int, list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}>}
     */
    private function recompute(array $places, array $retired, array $trackings): array
    {
        $retrackings = $this->retrackings();
        foreach (array_reverse($retrackings, true) as $item => $changes) {
            foreach (array_reverse($changes, true) as $change) {
                $trackings[$item] = $change->from;
            }
        }
        $balances = new Balances();
        $unlawful = [];
        $count = 0;
        foreach ($this->database->iterateAssociative('SELECT id, item_id, quantity, from_id, to_id, reason, kit_id, at FROM movement ORDER BY id') as $row) {
            [$item, $from, $to] = [(int) $row['item_id'], (int) $row['from_id'], (int) $row['to_id']];
            $movement = Movement::recorded($item, $trackings[$item], (int) $row['quantity'], $places[$from], $places[$to], Reason::from((string) $row['reason']));
            $balances->apply($movement);
            $isLate = $row['at'] > ($retired[$from] ?? '9999') || $row['at'] > ($retired[$to] ?? '9999');
            $what = $this->audit->unlawful($movement, null !== $row['kit_id'], $isLate);
            if (null !== $what) {
                $unlawful[] = ['item' => $item, 'place' => $to, 'what' => \sprintf('line %d: %s', $row['id'], $what), 'believed' => $movement->quantity, 'recomputed' => 0];
            }
            $change = $retrackings[$item][(int) $row['id']] ?? null;
            if (null !== $change) {
                $balances->convert($item, $change);
                $trackings[$item] = $change->to;
            }
            ++$count;
        }

        return [$balances, $count, $unlawful];
    }

    /** @return array<int, array<int, Retracking>> by item and the movement after which it holds */
    private function retrackings(): array
    {
        $changes = [];
        foreach ($this->database->iterateAssociative('SELECT item_id, movement_id, from_tracking, to_tracking, was, becomes FROM retracking ORDER BY id') as $row) {
            $changes[(int) $row['item_id']][(int) $row['movement_id']] = Retracking::of(Tracking::from((string) $row['from_tracking']), Tracking::from((string) $row['to_tracking']), (int) $row['was'], (int) $row['becomes']);
        }

        return $changes;
    }
}
