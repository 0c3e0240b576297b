<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** A move of the room, and its boxes. */
final readonly class MovingTables implements WatchesTables
{
    public function watched(): array
    {
        return [new WatchedTable('house_move', inWords: 'the move'), new WatchedTable('moving_box', inWords: 'the move')];
    }
}
