<?php

declare(strict_types=1);

namespace App\Upkeep\Chores;

use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;
use App\Room\Catalogue\ThingPart;

/** What comes round. */
final readonly class ChoreTables implements HasPartsOfThings, WatchesTables
{
    public function watched(): array
    {
        return [new WatchedTable('chore', inWords: 'what comes round')];
    }

    public function partsOfThings(): array
    {
        return [ThingPart::goesWith('chore')];
    }
}
