<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Platform\Database\HangingRows;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;

/** What is always kept of a thing. */
final readonly class RestockTables implements WatchesTables, HasPartsOfThings
{
    public function watched(): array
    {
        return [new WatchedTable('stock_rule', inWords: 'what is kept of it')];
    }

    public function partsOfThings(): array
    {
        return [HangingRows::goesWith('stock_rule', 'item_id = :id')];
    }
}
