<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\HasPartsOfKits;
use App\Kits\Kits\KitPart;
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
        return [KitPart::goesWith('design', 'revision'), KitPart::goesWith('making_step', 'step || done')];
    }
}
