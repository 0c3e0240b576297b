<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use Doctrine\DBAL\Connection;
use Symfony\Contracts\Service\ResetInterface;

/** What is out, overdue, lost and over-full, by the front behind which it is. */
final class FrontStates implements ResetInterface
{
    /** @var array<int, FrontState>|null */
    private ?array $now = null;

    public function __construct(
        private readonly Connection $database,
        private readonly RoomReading $room,
        private readonly RoomClock $roomClock,
        private readonly Fullness $fullness,
    ) {
    }

    public function reset(): void
    {
        $this->now = null;
    }

    /** @return array<int, FrontState> by the place whose front is seen; only those with something to see */
    public function now(): array
    {
        return $this->now ??= $this->read();
    }

    /** @return array<int, FrontState> */
    private function read(): array
    {
        $states = [];
        foreach ([...$this->ofThings(), ...$this->ofPlaces()] as [$place, $state]) {
            $front = $this->room->frontOf($place);
            if (null !== $front) {
                $states[$front] = ($states[$front] ?? new FrontState())->and($state);
            }
        }

        return $states;
    }

    /** @return list<array{int, FrontState}> */
    private function ofThings(): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.home_id, 0 AS is_lost, k.due_on, count(*) AS things
             FROM place t CROSS JOIN balance b ON b.place_id = t.id CROSS JOIN item i ON i.id = b.item_id
             LEFT JOIN kit_holder h ON h.place_id = t.id LEFT JOIN kit k ON k.id = h.kit_id
             WHERE t.nature = 'tray' AND i.home_id IS NOT NULL GROUP BY i.home_id, k.due_on
             UNION ALL
             SELECT i.home_id, 1, NULL, count(*)
             FROM place p CROSS JOIN balance b ON b.place_id = p.id CROSS JOIN item i ON i.id = b.item_id
             WHERE p.nature = 'outside' AND p.address = 'lost' AND b.quantity > 0 AND i.home_id IS NOT NULL AND i.removed_at IS NULL GROUP BY i.home_id",
        );

        return Row::each($rows, fn (Row $row): array => [
            $row->int('home_id'),
            $row->flag('is_lost')
                ? new FrontState(lost: $row->int('things'))
                : new FrontState($row->int('things'), $this->roomClock->due($row->textOrNull('due_on'))->isLate),
        ]);
    }

    /** @return list<array{int, FrontState}> */
    private function ofPlaces(): array
    {
        return array_map(static fn (int $place): array => [$place, new FrontState(isOverFull: true)], $this->fullness->overFull());
    }
}
