<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\HangingRows;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;

/** Rounds of upkeep, and what is to be done on them. */
final readonly class UpkeepRoundTables implements WatchesTables, HasPartsOfKits, HasPartsOfThings
{
    public function watched(): array
    {
        return [new WatchedTable('errand', inWords: 'the round'), new WatchedTable('errand_task', inWords: 'the round')];
    }

    public function partsOfKits(): array
    {
        return [HangingRows::keeps('errand_task', 'kit_id = :id')];
    }

    public function partsOfThings(): array
    {
        return [HangingRows::keeps(
            'errand_task',
            'item_id = :id',
            'SELECT e.name FROM errand_task t JOIN errand e ON e.id = t.errand_id WHERE t.item_id = :id',
        )];
    }
}
