<?php

declare(strict_types=1);

namespace App\Errands;

use App\Catalogue\ItemReading;
use App\Catalogue\ThingLine;
use App\Catalogue\WhereRow;
use App\Log\LogBook;
use App\Stores\RoomReading;
use App\Stores\WaysOfRoom;

/** Rounds of upkeep, worked out anew from what is done of them, so that they can be gone on with anywhere. */
final readonly class ErrandReading
{
    public function __construct(private ItemReading $items, private LogBook $log, private RoomReading $room, private WaysOfRoom $ways)
    {
    }

    public function round(Errand $errand): ErrandRound
    {
        $things = $this->things($errand);
        $byStop = $numbers = $carried = [];
        foreach ($errand->tasks as $task) {
            $numbers = [...$numbers, ...$task->stops()];
            foreach ($this->rows($task, $things[(int) $task->item?->id] ?? null) as $row) {
                $byStop[$row->nth()][] = $row;
                if ($row->isCarried()) {
                    $carried[] = $row;
                }
            }
        }
        ksort($byStop);
        $stops = array_map(
            static fn (int $nth, array $rows): ErrandStop => new ErrandStop($nth, $rows[0]->place(), $rows),
            array_keys($byStop),
            array_values($byStop),
        );

        return new ErrandRound(
            $stops,
            \count(array_unique($numbers)),
            $carried,
            $this->room->litWith(array_map(static fn (ErrandStop $stop): array => [(int) $stop->place->id, (string) $stop->nth], $stops)),
            $this->ways->inWords(array_map(static fn (ErrandStop $stop): array => [(int) $stop->place->id, \count($stop->rows)], $stops)),
        );
    }

    /** @return list<TaskRow> what is still to be done of a task, at one stop or at two */
    private function rows(ErrandTask $task, ?ThingLine $thing): array
    {
        if ($task->state->isOver()) {
            return [];
        }
        $isOpen = TaskState::Open === $task->state;
        $from = match (true) {
            null === $thing => null,
            What::Carry === $task->what => $isOpen ? $task->place : $task->errand->basket,
            What::Home === $task->what => $task->kit?->tray(),
            default => null,
        };
        if (null === $from || null === $thing) {
            return [new TaskRow($task, $thing, What::Home === $task->what, 0, null === $thing || What::Home !== $task->what ? '' : $this->where($thing->id))];
        }
        $there = $this->log->quantity($thing->id, (int) $from->id);
        $where = $there > 0 ? '' : $this->where($thing->id);
        $rows = [new TaskRow($task, $thing, true, $there, $where)];

        return $isOpen && What::Carry === $task->what ? [new TaskRow($task, $thing, false, $there, $where), ...$rows] : $rows;
    }

    /** @return array<int, ThingLine> by item */
    private function things(Errand $errand): array
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

    private function where(int $item): string
    {
        return implode(' and ', array_map(static fn (WhereRow $row): string => match (true) {
            $row->isLost() => 'lost',
            $row->isOut() => 'out, '.$row->address,
            default => 'in '.$row->address,
        }, $this->items->whereabouts($item)));
    }
}
