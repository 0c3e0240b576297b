<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\DeclaresTables;
use App\Platform\Database\HangingRows;
use App\Platform\Database\SchemaTables;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** What goes home last. */
final readonly class RoundTables implements DeclaresTables, WatchesTables, HasPartsOfKits
{
    public function declareTables(SchemaTables $tables): void
    {
        $off = $tables->numbered('put_off');
        $tables->reference($off, 'kit');
        $tables->reference($off, 'item');
        $off->addUniqueIndex(['kit_id', 'item_id'], 'put_off_kit');
    }

    public function watched(): array
    {
        return [new WatchedTable('put_off', inWords: 'the order of the way home', isOfTheLoop: true, goesOn: true, goesWithItsThing: true)];
    }

    public function partsOfKits(): array
    {
        return [HangingRows::keeps('put_off', 'kit_id = :id', sign: 'item_id')];
    }
}
