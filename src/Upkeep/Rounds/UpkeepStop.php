<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Room\Catalogue\ThingLine;
use App\Room\Stores\Place;

/** A stop of a round of upkeep that is still to be visited. */
final readonly class UpkeepStop
{
    /** @param non-empty-list<TaskRow> $rows */
    public function __construct(public int $nth, public Place $place, public array $rows)
    {
    }

    /** Its address; a place that is no longer in use keeps what its label said. */
    public function address(): string
    {
        return $this->place->forLog()->label;
    }

    /** @return list<TaskRow> */
    public function takes(): array
    {
        return $this->only(static fn (TaskRow $row): bool => TaskKind::Carry === $row->task->what && !$row->isPut);
    }

    /** @return list<TaskRow> */
    public function puts(): array
    {
        return $this->only(static fn (TaskRow $row): bool => $row->isPut);
    }

    /** @return list<TaskRow> */
    public function looks(): array
    {
        return $this->only(static fn (TaskRow $row): bool => TaskKind::Look === $row->task->what);
    }

    /** @return list<TaskRow> */
    public function counts(): array
    {
        return $this->only(static fn (TaskRow $row): bool => TaskKind::Count === $row->task->what);
    }

    /** @return list<TaskRow> */
    public function weeds(): array
    {
        return $this->only(static fn (TaskRow $row): bool => TaskKind::Weed === $row->task->what);
    }

    /** @return list<TaskRow> what one press does, first what is taken, then what is put */
    public function doable(): array
    {
        return array_values(array_filter([...$this->takes(), ...$this->puts()], static fn (TaskRow $row): bool => $row->canBeDone()));
    }

    /** @return list<ThingLine> */
    public function lines(): array
    {
        return array_values(array_filter(array_map(static fn (TaskRow $row): ?ThingLine => $row->thing, $this->rows)));
    }

    /** @return list<TaskRow> */
    public function things(): array
    {
        return $this->rows;
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(static fn (TaskRow $row): string => $row->inWords(), $this->rows);
    }

    /**
     * @param \Closure(TaskRow): bool $which
     *
     * @return list<TaskRow>
     */
    private function only(\Closure $which): array
    {
        return array_values(array_filter($this->rows, $which));
    }
}
