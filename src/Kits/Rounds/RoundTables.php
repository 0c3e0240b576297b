<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;

/** What goes home last. */
final readonly class RoundTables implements DeclaresTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $off = $tables->numbered('put_off');
        $tables->reference($off, 'kit');
        $tables->reference($off, 'item');
        $off->addUniqueIndex(['kit_id', 'item_id'], 'put_off_kit');
    }
}
