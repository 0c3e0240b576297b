<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\ThingLine;
use App\Room\Catalogue\WhereRow;
use App\Room\Stores\RoomReading;
use App\Room\Stores\WaysOfRoom;

/** Rounds of upkeep, worked out anew from what is done of them, so that they can be gone on with anywhere. */
final readonly class UpkeepRoundReading
{
    public function __construct(private ItemReading $items, private RoomReading $room, private WaysOfRoom $ways)
    {
    }

    public function round(UpkeepRound $errand): WalkedRound
    {
        $things = $this->things($errand);
        $where = $this->items->whereaboutsOf(array_keys($things));
        $byStop = $numbers = $carried = [];
        foreach ($errand->tasks as $task) {
            $numbers = [...$numbers, ...$errand->isWaiting ? [$task->nth] : $task->stops()];
            $item = (int) $task->item?->id;
            foreach (self::rows($task, $things[$item] ?? null, $where[$item] ?? []) as $row) {
                if (!$row->isPut || !$errand->isWaiting) {
                    $byStop[$row->nth()][] = $row;
                }
                if ($row->isCarried()) {
                    $carried[] = $row;
                }
            }
        }
        ksort($byStop);
        $stops = array_map(
            static fn (int $nth, array $rows): UpkeepStop => new UpkeepStop($nth, $rows[0]->place(), $rows),
            array_keys($byStop),
            array_values($byStop),
        );

        return new WalkedRound(
            $stops,
            \count(array_unique($numbers)),
            $carried,
            $this->room->litWith(array_map(static fn (UpkeepStop $stop): array => [(int) $stop->place->id, (string) $stop->nth], $stops)),
            $this->ways->inWords(array_map(static fn (UpkeepStop $stop): array => [(int) $stop->place->id, \count($stop->rows)], $stops)),
        );
    }

    /**
     * @param list<WhereRow> $where where the thing is
     *
     * @return list<TaskRow> what is still to be done of a task, at one stop or at two
     */
    private static function rows(RoundTask $task, ?ThingLine $thing, array $where): array
    {
        if ($task->state->isOver()) {
            return [];
        }
        $isOpen = TaskState::Open === $task->state;
        $from = match (true) {
            null === $thing => null,
            TaskKind::Carry === $task->what => $isOpen ? $task->place : $task->errand->basket,
            TaskKind::Home === $task->what => $task->kit?->tray(),
            default => null,
        };
        if (null === $from || null === $thing) {
            $isHome = TaskKind::Home === $task->what;

            return [new TaskRow($task, $thing, $isHome, 0, null === $thing || !$isHome ? '' : self::inWords($where))];
        }
        $there = self::quantityIn((int) $from->id, $where);
        $words = $there > 0 ? '' : self::inWords($where);
        $rows = [new TaskRow($task, $thing, true, $there, $words)];

        return $isOpen && TaskKind::Carry === $task->what ? [new TaskRow($task, $thing, false, $there, $words), ...$rows] : $rows;
    }

    /** @return array<int, ThingLine> by item */
    private function things(UpkeepRound $errand): array
    {
        $ids = [];
        foreach ($errand->tasks as $task) {
            if (!$task->state->isOver() && null !== $task->item) {
                $ids[(int) $task->item->id] = true;
            }
        }
        $things = [];
        foreach ($this->items->lines(array_keys($ids)) as $thing) {
            $things[$thing->id] = $thing;
        }

        return $things;
    }

    /** @param list<WhereRow> $where */
    private static function quantityIn(int $place, array $where): int
    {
        foreach ($where as $row) {
            if ($row->placeId === $place) {
                return $row->quantity;
            }
        }

        return 0;
    }

    /** @param list<WhereRow> $where */
    private static function inWords(array $where): string
    {
        return implode(' and ', array_map(static fn (WhereRow $row): string => match (true) {
            $row->isLost() => 'lost',
            $row->isOut() => 'out, '.$row->address,
            default => 'in '.$row->address,
        }, $where));
    }
}
