<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;

/** Searches that are kept. */
final readonly class FindTables implements DeclaresTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $search = $tables->numbered('saved_search');
        $tables->text($search, 'name', 60);
        $tables->text($search, 'query', 1000);
    }
}
