<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Room\RoomLayout;

/** A room with its floor plan and the units that stand in it, in walking order. */
final readonly class RoomPlan
{
    /** @param list<UnitRow> $units */
    public function __construct(public int $id, public string $name, public RoomLayout $layout, public array $units)
    {
    }

    /**
     * Returns the room with its units in other spots.
     *
     * @param array<int, array{int, int, int}> $spots x, y and turn by unit
     */
    public function with(array $spots): self
    {
        $units = array_map(static fn (UnitRow $unit): UnitRow => isset($spots[$unit->id]) ? $unit->at(...$spots[$unit->id]) : $unit, $this->units);

        return new self($this->id, $this->name, $this->layout, $units);
    }
}
