<?php

declare(strict_types=1);

namespace App\Reading;

use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Audit;
use Lottel\Core\Log\Balances;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\Place;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Tracking;

/** Recomputes the balances from the log and has the core compare them with the stored ones. */
final readonly class AuditReading
{
    public function __construct(private Connection $database, private Audit $audit = new Audit())
    {
    }

    /** @return array{movements: int, items: int, places: int, differences: list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}>} */
    public function report(): array
    {
        $places = [];
        foreach ($this->database->iterateAssociative('SELECT id, nature, address FROM place') as $row) {
            $places[(int) $row['id']] = new Place((int) $row['id'], PlaceNature::from((string) $row['nature']), (string) $row['address']);
        }
        $trackings = array_map(static fn (mixed $tracking): Tracking => Tracking::from((string) $tracking), $this->database->fetchAllKeyValue('SELECT id, tracking FROM item'));
        [$recomputed, $movements] = $this->recompute($places, $trackings);
        $believed = [];
        foreach ($this->database->iterateAssociative('SELECT item_id, place_id, quantity FROM balance') as $row) {
            $believed[(int) $row['item_id']][(int) $row['place_id']] = (int) $row['quantity'];
        }
        $inside = array_map(static fn (Place $place): bool => $place->nature->isInside(), $places);

        return [
            'movements' => $movements,
            'items' => \count($trackings),
            'places' => \count(array_filter($places, static fn (Place $place): bool => PlaceNature::Storage === $place->nature)),
            'differences' => $this->audit->differences($believed, $recomputed->all(), $inside, $trackings),
        ];
    }

    /**
     * @param array<int, Place> $places
     * @param array<int, Tracking> $trackings
     *
     * @return array{Balances, int}
     */
    private function recompute(array $places, array $trackings): array
    {
        $balances = new Balances();
        $count = 0;
        foreach ($this->database->iterateAssociative('SELECT item_id, quantity, from_id, to_id, reason FROM movement ORDER BY id') as $row) {
            $item = (int) $row['item_id'];
            $balances->apply(Movement::of($item, $trackings[$item], (int) $row['quantity'], $places[(int) $row['from_id']], $places[(int) $row['to_id']], Reason::from((string) $row['reason'])));
            ++$count;
        }

        return [$balances, $count];
    }
}
