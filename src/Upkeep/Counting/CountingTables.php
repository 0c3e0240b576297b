<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** When places were counted. */
final readonly class CountingTables implements WatchesTables
{
    public function watched(): array
    {
        return [new WatchedTable('place_count', inWords: 'the count')];
    }
}
