<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Kits\Kits\HasPartsOfKits;
use App\Kits\Kits\KitPart;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;
use App\Room\Catalogue\ThingPart;

/** What was given, and albums. */
final readonly class ShelfTables implements WatchesTables, HasPartsOfKits, HasPartsOfThings
{
    public function watched(): array
    {
        return [new WatchedTable('gift', inWords: 'the shelf'), new WatchedTable('album'), new WatchedTable('album_page', inWords: 'the album')];
    }

    public function partsOfKits(): array
    {
        return [KitPart::letsGo('album_page')];
    }

    public function partsOfThings(): array
    {
        return [ThingPart::letsGo('album_page')];
    }
}
