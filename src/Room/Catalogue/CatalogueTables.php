<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\HangingRows;
use App\Platform\Database\SchemaTables;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use Doctrine\DBAL\Types\Types;

/** What goes with what, how a thing was counted before, where it is in a photo. */
final readonly class CatalogueTables implements DeclaresTables, WatchesTables, HasPartsOfThings
{
    public function declareTables(SchemaTables $tables): void
    {
        $companion = $tables->named('companion');
        $tables->reference($companion, 'item');
        $tables->reference($companion, 'item', 'other_id');
        $companion->addColumn('is_together', Types::BOOLEAN, ['default' => false]);
        $companion->setPrimaryKey(['item_id', 'other_id']);
        $companion->addIndex(['other_id'], 'companion_other');

        $retracking = $tables->numbered('retracking');
        $tables->reference($retracking, 'item');
        $tables->reference($retracking, 'movement');
        $tables->text($retracking, 'from_tracking', 10);
        $tables->text($retracking, 'to_tracking', 10);
        $retracking->addColumn('was', Types::INTEGER);
        $retracking->addColumn('becomes', Types::INTEGER);
        $retracking->addIndex(['item_id', 'movement_id'], 'retracking_item');

        $spot = $tables->numbered('spot');
        $tables->reference($spot, 'item');
        $tables->reference($spot, 'place');
        foreach (['x', 'y', 'width', 'height'] as $side) {
            $spot->addColumn($side, Types::INTEGER);
        }
        $spot->addUniqueIndex(['item_id'], 'spot_item');
        $spot->addIndex(['place_id'], 'spot_place');
    }

    public function watched(): array
    {
        return [new WatchedTable('item', follows: ['used_at', 'since']),
            new WatchedTable('companion', goesWithItsThing: true),
            new WatchedTable('spot', inWords: 'what the photo says', goesWithItsThing: true),
            new WatchedTable('price', inWords: 'what was paid'),
            new WatchedTable('rest', inWords: 'how it lies')];
    }

    public function partsOfThings(): array
    {
        return [
            HangingRows::goesWith('companion', 'item_id = :id OR other_id = :id'),
            HangingRows::goesWith('spot', 'item_id = :id'),
            HangingRows::goesWith('price', 'item_id = :id'),
            HangingRows::goesWith('rest', 'item_id = :id'),
            HangingRows::letsGo('item', 'parent_id', 'parent_id = :id'),
        ];
    }
}
