<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\HasPartsOfKits;
use App\Kits\Kits\KitPart;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;

/** Classes, who gets what, and the bags. */
// A share speaks of lines and pieces, which go after it.
#[AsTaggedItem(priority: 10)]
final readonly class WorkshopTables implements WatchesTables, HasPartsOfKits
{
    public function watched(): array
    {
        return [new WatchedTable('workshop', inWords: 'the class'), new WatchedTable('share', inWords: 'the class'), new WatchedTable('bag', inWords: 'the class')];
    }

    public function partsOfKits(): array
    {
        return [KitPart::goesWith('share', where: 'workshop_id IN (SELECT id FROM workshop WHERE kit_id = :kit)'), KitPart::goesWith('bag', where: 'workshop_id IN (SELECT id FROM workshop WHERE kit_id = :kit)'), KitPart::goesWith('workshop')];
    }
}
