<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;

/** What is lent and borrowed. */
final readonly class LendingTables implements WatchesTables
{
    public function watched(): array
    {
        return [new WatchedTable('loan', inWords: 'the loan')];
    }
}
