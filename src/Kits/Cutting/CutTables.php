<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\HasPartsOfKits;
use App\Platform\Database\DeclaresTables;
use App\Platform\Database\HangingRows;
use App\Platform\Database\SchemaTables;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;
use Doctrine\DBAL\Types\Types;

/** What a cut made of a sheet. */
final readonly class CutTables implements DeclaresTables, WatchesTables, HasPartsOfKits, HasPartsOfThings
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

    public function watched(): array
    {
        return [new WatchedTable('piece', inWords: 'the cutting table', isOfTheLoop: true),
            new WatchedTable('sheet_in_work', inWords: 'the cutting table', isOfTheLoop: true),
            new WatchedTable('cut_plan', ['setting', 'effort'], 'the cutting table', isOfTheLoop: true)];
    }

    public function partsOfKits(): array
    {
        return [
            HangingRows::goesWith('piece', 'kit_id = :id', 'id || quantity || scored'),
            HangingRows::goesWith('sheet_in_work', 'kit_id = :id', 'id || tree'),
            HangingRows::goesWith('cut_plan', 'kit_id = :id'),
        ];
    }

    public function partsOfThings(): array
    {
        return [HangingRows::keeps(
            'piece',
            'paper_id = :id OR item_id = :id',
            'SELECT k.name FROM piece p JOIN kit k ON k.id = p.kit_id WHERE p.paper_id = :id OR p.item_id = :id',
        )];
    }
}
