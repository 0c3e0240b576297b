<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use Doctrine\DBAL\Types\Types;

/** The lines of the log, and how much of a thing is in a place. Only LogBook writes them, and nothing changes a line. */
final readonly class LogTables implements DeclaresTables, WatchesTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $movement = $tables->numbered('movement');
        $tables->reference($movement, 'item');
        $tables->reference($movement, 'place', 'from_id');
        $tables->reference($movement, 'place', 'to_id');
        $tables->reference($movement, 'kit', isRequired: false);
        $tables->reference($movement, 'account');
        $tables->reference($movement, 'movement', 'reverses_id', isRequired: false);
        $movement->addColumn('quantity', Types::INTEGER);
        $movement->addColumn('at', Types::DATETIME_IMMUTABLE);
        $tables->text($movement, 'reason', 10);
        $tables->text($movement, 'note', 300, ['default' => '']);
        $tables->text($movement, 'why', 10, ['notnull' => false]);
        $tables->text($movement, 'request_id', 36);
        foreach (['item', 'from', 'to', 'kit', 'account'] as $end) {
            $movement->addIndex([$end.'_id', 'id'], 'movement_'.$end);
        }
        $movement->addIndex(['reason', 'id'], 'movement_reason');
        $movement->addIndex(['at', 'id'], 'movement_at');
        $movement->addIndex(['request_id'], 'movement_request');

        $balance = $tables->named('balance');
        $tables->reference($balance, 'item');
        $tables->reference($balance, 'place');
        $balance->addColumn('quantity', Types::INTEGER);
        $balance->setPrimaryKey(['item_id', 'place_id']);
        $balance->addIndex(['place_id', 'item_id', 'quantity'], 'balance_place');
    }

    public function watched(): array
    {
        return [new WatchedTable('movement', isOfTheLoop: true, goesOn: true, isLog: true)];
    }
}
