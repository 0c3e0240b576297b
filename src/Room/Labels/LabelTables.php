<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\HangingRows;
use App\Platform\Database\SchemaTables;
use App\Platform\Steps\WatchedTable;
use App\Platform\Steps\WatchesTables;
use App\Room\Catalogue\HasPartsOfThings;
use Doctrine\DBAL\Types\Types;

/** Labels that are wanted, and the sheets they are printed on. */
final readonly class LabelTables implements DeclaresTables, WatchesTables, HasPartsOfThings
{
    public function declareTables(SchemaTables $tables): void
    {
        $wish = $tables->numbered('label_wish');
        $tables->reference($wish, 'place', isRequired: false);
        $tables->reference($wish, 'item', isRequired: false);
        $tables->text($wish, 'format', 20);
        $tables->text($wish, 'reason', 20);
        $wish->addColumn('at', Types::DATETIME_IMMUTABLE);

        $sheet = $tables->numbered('label_sheet');
        $tables->text($sheet, 'name', 60);
        $sheet->addColumn('measures', Types::TEXT);
    }

    public function watched(): array
    {
        return [new WatchedTable('label_wish', inWords: 'the list of labels to print', goesOn: true, goesWithItsThing: true),
            new WatchedTable('label_sheet')];
    }

    public function partsOfThings(): array
    {
        return [HangingRows::goesWith('label_wish', 'item_id = :id')];
    }
}
