<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\HangingRows;
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
        return array_map(static fn (string $name): WatchedTable => new WatchedTable($name, inWords: 'the class'), ['workshop', 'share', 'bag']);
    }

    public function partsOfKits(): array
    {
        $ofIts = 'workshop_id IN (SELECT id FROM workshop WHERE kit_id = :id)';

        return [HangingRows::goesWith('share', $ofIts), HangingRows::goesWith('bag', $ofIts), HangingRows::goesWith('workshop', 'kit_id = :id')];
    }
}
