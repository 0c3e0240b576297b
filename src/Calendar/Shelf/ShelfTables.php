<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\HangingRows;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;

/** What was given, and albums. */
final readonly class ShelfTables implements WatchesTables, HasPartsOfKits, HasPartsOfThings
{
    public function watched(): array
    {
        return [new WatchedTable('gift', inWords: 'the shelf'), new WatchedTable('album'), new WatchedTable('album_page', inWords: 'the album')];
    }

    public function partsOfKits(): array
    {
        return [HangingRows::letsGo('album_page', 'kit_id', 'kit_id = :id')];
    }

    public function partsOfThings(): array
    {
        return [HangingRows::letsGo('album_page', 'item_id', 'item_id = :id')];
    }
}
