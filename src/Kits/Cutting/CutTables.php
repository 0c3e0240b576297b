<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;
use Doctrine\DBAL\Types\Types;

/** What a cut made of a sheet. */
final readonly class CutTables implements DeclaresTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $cut = $tables->numbered('cut');
        $tables->reference($cut, 'movement');
        foreach (['width', 'height', 'sheets'] as $column) {
            $cut->addColumn($column, Types::INTEGER);
        }
        $cut->addUniqueIndex(['movement_id'], 'cut_movement');

        $part = $tables->numbered('cut_part');
        $part->addColumn('cut_id', Types::INTEGER);
        $part->addForeignKeyConstraint('cut', ['cut_id'], ['movement_id'], ['deferrable' => true, 'deferred' => true]);
        $tables->reference($part, 'movement', isRequired: false);
        $tables->text($part, 'fate', 6);
        foreach (['width', 'height', 'quantity'] as $column) {
            $part->addColumn($column, Types::INTEGER);
        }
        $part->addIndex(['cut_id'], 'cut_part_cut');
        $part->addIndex(['movement_id'], 'cut_part_movement');
    }
}
