<?php

declare(strict_types=1);

namespace App\Errands;

use App\Catalogue\ThingLine;
use App\Stores\Place;

/** A task of a round as its page shows it, at the stop where something is taken or done, or at the one where it is put. */
final readonly class TaskRow
{
    /**
     * @param ThingLine|null $thing null where a whole place is counted
     * @param bool $isPut whether this is where it is put
     * @param int $there how much of it is where it is to be taken, or in the basket once it was
     * @param string $where where else it is, in words, where it is not there
     */
    public function __construct(public ErrandTask $task, public ?ThingLine $thing, public bool $isPut, public int $there, public string $where)
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
            What::Carry => $this->isPut === $this->isCarried() && true === $this->task->to?->isStorageInUse(),
            What::Home => $this->task->place->isStorageInUse(),
            What::Look, What::Count, What::Weed => false,
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
            What::Look === $this->task->what => 'look for '.$this->name(),
            What::Count === $this->task->what => 'count',
            What::Weed === $this->task->what => 'keep or part with '.$this->name(),
            default => 'take '.$this->name(),
        };
    }
}
