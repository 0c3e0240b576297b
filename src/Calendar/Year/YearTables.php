<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\HangingRows;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** People, their dates, and the time there is for them. */
final readonly class YearTables implements WatchesTables, HasPartsOfKits
{
    public function watched(): array
    {
        return [new WatchedTable('contact'),
            new WatchedTable('occasion'),
            new WatchedTable('kit_occasion', inWords: 'its date'),
            new WatchedTable('kit_time', inWords: 'its date'),
            new WatchedTable('other_hours', inWords: 'the time at the bench'),
            new WatchedTable('set_aside', inWords: 'the shelf')];
    }

    public function partsOfKits(): array
    {
        return [HangingRows::goesWith('kit_occasion', 'kit_id = :id'), HangingRows::goesWith('kit_time', 'kit_id = :id')];
    }
}
