<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** Searches that are kept. */
final readonly class FindTables implements DeclaresTables, WatchesTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $search = $tables->numbered('saved_search');
        $tables->text($search, 'name', 60);
        $tables->text($search, 'query', 1000);
    }

    public function watched(): array
    {
        return [new WatchedTable('saved_search')];
    }
}
