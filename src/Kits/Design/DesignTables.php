<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\HangingRows;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** Designs, patterns, and the steps of making. */
final readonly class DesignTables implements WatchesTables, HasPartsOfKits
{
    public function watched(): array
    {
        return [new WatchedTable('design', inWords: 'the design', isOfTheLoop: true),
            new WatchedTable('pattern', isOfTheLoop: true),
            new WatchedTable('making_step', inWords: 'the bench', isOfTheLoop: true)];
    }

    public function partsOfKits(): array
    {
        return [HangingRows::goesWith('design', 'kit_id = :id', 'revision'), HangingRows::goesWith('making_step', 'kit_id = :id', 'step || done')];
    }
}
