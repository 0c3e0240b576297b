<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Platform\Database\Row;
use App\Room\Catalogue\CountsThings;
use App\Room\Catalogue\Item;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Retracking;

/** Everybody in a class gets as much of a thing as before, counted in its new way. */
final readonly class RecountShares implements CountsThings
{
    public function __construct(private Connection $database)
    {
    }

    public function recount(Item $item, Retracking $retracking): void
    {
        $shares = $this->database->fetchAllKeyValue('SELECT s.id, s.each FROM share s JOIN need n ON n.id = s.need_id WHERE n.item_id = ?', [$item->id]);
        foreach ($shares as $share => $each) {
            $this->database->update('share', ['each' => $retracking->wanted(Row::number($each))], ['id' => $share]);
        }
    }
}
