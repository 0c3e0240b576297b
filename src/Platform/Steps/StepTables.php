<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;
use Doctrine\DBAL\Types\Types;

/** The steps and what they changed. */
final readonly class StepTables implements DeclaresTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $request = $tables->named('write_request');
        $tables->text($request, 'id', 36);
        $tables->reference($request, 'account', isRequired: false);
        $request->addColumn('at', Types::DATETIME_IMMUTABLE);
        $request->addColumn('outcome', Types::TEXT);
        $request->addColumn('said', Types::TEXT);
        $request->addColumn('is_undoable', Types::BOOLEAN, ['default' => false]);
        $tables->text($request, 'undone_by', 36, ['notnull' => false]);
        $request->setPrimaryKey(['id']);

        $part = $tables->named('part_done');
        $tables->text($part, 'request_id', 36);
        $part->addColumn('done', Types::INTEGER);
        $part->addColumn('parts', Types::INTEGER);
        $part->setPrimaryKey(['request_id']);

        $current = $tables->named('current_step');
        $tables->text($current, 'request_id', 36);
        $current->setPrimaryKey(['request_id']);

        $change = $tables->numbered('step_change');
        $tables->text($change, 'request_id', 36);
        $tables->text($change, 'subject', 20);
        $change->addColumn('row_id', Types::INTEGER);
        $tables->text($change, 'what', 10);
        $change->addColumn('was', Types::TEXT, ['notnull' => false]);
        $change->addColumn('became', Types::TEXT, ['notnull' => false]);
        $change->addIndex(['request_id'], 'step_change_request');
    }
}
