<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\HangingRows;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;

/** Kits, their lists, and the folders in which they wait. */
final readonly class KitTables implements WatchesTables, HasPartsOfKits, HasPartsOfThings
{
    public function watched(): array
    {
        return [new WatchedTable('kit', isOfTheLoop: true, goesOn: true),
            new WatchedTable('need', isOfTheLoop: true, goesOn: true, goesWithItsThing: true),
            new WatchedTable('folder', inWords: 'where the folder stands')];
    }

    public function partsOfKits(): array
    {
        return [
            HangingRows::letsGo('need', 'instead_of_id', 'kit_id = :id AND instead_of_id IS NOT NULL'),
            HangingRows::goesWith('need', 'kit_id = :id', 'id || state || taken || quantity'),
            HangingRows::keeps('movement', 'kit_id = :id'),
        ];
    }

    public function partsOfThings(): array
    {
        return [HangingRows::keeps('need', 'item_id = :id', 'SELECT k.name FROM need n JOIN kit k ON k.id = n.kit_id WHERE n.item_id = :id')];
    }
}
