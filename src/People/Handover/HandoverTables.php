<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\HangingRows;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** Rounds that were handed over. */
final readonly class HandoverTables implements WatchesTables, HasPartsOfKits
{
    public function watched(): array
    {
        return [new WatchedTable('handover', inWords: 'the round')];
    }

    public function partsOfKits(): array
    {
        return [HangingRows::goesWith('handover', 'kit_id = :id')];
    }
}
