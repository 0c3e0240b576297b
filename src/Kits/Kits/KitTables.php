<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;
use App\Room\Catalogue\ThingPart;

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
        return [KitPart::letsGo('need', 'instead_of_id'), KitPart::goesWith('need', 'id || state || taken || quantity'), KitPart::speaksOfIt('movement')];
    }

    public function partsOfThings(): array
    {
        return [ThingPart::keeps('need', 'SELECT k.name FROM need n JOIN kit k ON k.id = n.kit_id WHERE n.item_id = :item')];
    }
}
