<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Room\Catalogue\CountsThings;
use App\Room\Catalogue\Item;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Retracking;

/** Lists want as much of a thing as before, counted in its new way. */
final readonly class RecountNeeds implements CountsThings
{
    public function __construct(private Connection $database)
    {
    }

    public function recount(Item $item, Retracking $retracking): void
    {
        foreach ($this->database->fetchAllAssociative('SELECT id, quantity, taken FROM need WHERE item_id = ?', [$item->id]) as $columns) {
            $need = new Row($columns);
            $quantity = $retracking->wanted($need->int('quantity'));
            $taken = $retracking->converted($need->int('taken'));
            $this->database->update('need', ['quantity' => $quantity, 'taken' => $taken], ['id' => $need->int('id')]);
        }
    }
}
