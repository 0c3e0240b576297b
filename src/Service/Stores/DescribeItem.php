<?php

declare(strict_types=1);

namespace App\Service\Stores;

use App\Entity\Item;
use App\Service\FindIndex;
use App\Service\StepRefused;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Tracking;

/** Keeps an item's record in the catalogue. */
final readonly class DescribeItem
{
    public function __construct(private Connection $database, private FindIndex $index)
    {
    }

    /** @throws StepRefused if the tracking would change after the item has moved */
    public function __invoke(Item $item, Tracking $tracking): void
    {
        if ($tracking !== $item->tracking && false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE item_id = ?', [$item->id])) {
            throw StepRefused::trackingIsKept();
        }
        $item->tracking = $tracking;
        $this->index->item($item);
    }

    public function belongTogether(Item $one, Item $other): void
    {
        $ids = [(int) $one->id, (int) $other->id];
        sort($ids);
        $this->database->executeStatement('INSERT INTO companion (item_id, other_id) VALUES (?, ?) ON CONFLICT DO NOTHING', $ids);
    }
}
