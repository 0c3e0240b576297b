<?php

declare(strict_types=1);

namespace App\Stores;

use Lottel\Core\Room\RoomLayout;

/** A room with its floor plan and the units that stand in it, in walking order. */
final readonly class RoomPlan
{
    /** @param list<UnitRow> $units */
    public function __construct(public int $id, public string $name, public RoomLayout $layout, public array $units)
    {
    }
}
