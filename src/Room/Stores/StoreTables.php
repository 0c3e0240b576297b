<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** The room, its furniture and its places. */
final readonly class StoreTables implements WatchesTables
{
    public function watched(): array
    {
        return [new WatchedTable('room'), new WatchedTable('unit'), new WatchedTable('place')];
    }
}
