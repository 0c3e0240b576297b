<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Room\Catalogue\ThingLine;
use App\Room\Stores\Place;

/** A task of a round as its page shows it, at the stop where something is taken or done, or at the one where it is put. */
final readonly class TaskRow
{
    /**
     * @param ThingLine|null $thing null where a whole place is counted
     * @param bool $isPut whether this is where it is put
     * @param int $there how much of it is where it is to be taken, or in the basket once it was
     * @param string $where where else it is, in words, where it is not there
     */
    public function __construct(public RoundTask $task, public ?ThingLine $thing, public bool $isPut, public int $there, public string $where)
    {
    }

    public function id(): int
    {
        return (int) $this->task->id;
    }

    public function name(): string
    {
        return $this->thing->name ?? $this->task->place->address;
    }

    public function isCarried(): bool
    {
        return TaskState::Carried === $this->task->state;
    }

    /** Whether one press does it: it is where it is believed to be, and where it goes to is still a place. */
    public function canBeDone(): bool
    {
        return $this->there > 0 && match ($this->task->what) {
            TaskKind::Carry => $this->isPut === $this->isCarried() && true === $this->task->to?->isStorageInUse(),
            TaskKind::Home => $this->task->place->isStorageInUse(),
            TaskKind::Look, TaskKind::Count, TaskKind::Weed => false,
        };
    }

    /** Where this is done. */
    public function place(): Place
    {
        return $this->isPut ? $this->task->to ?? $this->task->place : $this->task->place;
    }

    /** The number of the stop where this is done. */
    public function nth(): int
    {
        return $this->isPut ? $this->task->putNth ?? $this->task->nth : $this->task->nth;
    }

    /** What is done, for the line of what comes next. */
    public function inWords(): string
    {
        return match (true) {
            $this->isPut => 'put '.$this->name(),
            TaskKind::Look === $this->task->what => 'look for '.$this->name(),
            TaskKind::Count === $this->task->what => 'count',
            TaskKind::Weed === $this->task->what => 'keep or part with '.$this->name(),
            default => 'take '.$this->name(),
        };
    }
}
