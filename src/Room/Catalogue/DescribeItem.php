<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Tracking;

/** Keeps an item's record in the catalogue. */
final readonly class DescribeItem
{
    public function __construct(private Connection $database, private EntityManagerInterface $entities, private ItemIndex $index, private ItemLabels $labels)
    {
    }

    /** @throws StepRefused if the tracking would change after the item has moved */
    public function __invoke(Item $item, ItemRecord $record, Tracking $tracking): void
    {
        if ($tracking !== $item->tracking && false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE item_id = ?', [$item->id])) {
            throw CatalogueRefused::trackingIsKept();
        }
        $isRenamed = $record->name !== $item->name;
        $item->describe($record);
        $item->countAs($tracking);
        $this->index->item($item);
        if ($isRenamed) {
            $this->labels->wishForThing($item, 'renamed');
        }
    }

    /** A new item with the same record, beside the first; nothing of it is in the room yet. */
    public function duplicate(Item $item): Item
    {
        $twin = new Item($item->name, $item->kind, $item->tracking, $item->home);
        $twin->describe($item->record()->with(name: mb_substr($item->name, 0, 193).' (copy)'));
        $this->entities->persist($twin);
        $this->index->item($twin);

        return $twin;
    }

    /**
     * Changes what is given of several items at once; what is not given stays.
     *
     * @param list<Item> $items
     */
    public function several(array $items, BulkChange $change): void
    {
        foreach ($items as $item) {
            $item->change($change);
            $this->index->item($item);
        }
    }

    /** @param bool $isTogether whether they share one pocket, as a stamp set and its dies may */
    public function belongTogether(Item $one, Item $other, bool $isTogether = false): void
    {
        $ids = [(int) $one->id, (int) $other->id];
        sort($ids);
        $this->database->executeStatement(
            'INSERT INTO companion (item_id, other_id, is_together) VALUES (?, ?, ?)
                ON CONFLICT (item_id, other_id) DO UPDATE SET is_together = excluded.is_together',
            [...$ids, (int) $isTogether],
        );
    }

    public function part(Item $one, Item $other): void
    {
        $this->database->executeStatement(
            'DELETE FROM companion WHERE item_id = ? AND other_id = ?',
            [min((int) $one->id, (int) $other->id), max((int) $one->id, (int) $other->id)],
        );
    }
}
