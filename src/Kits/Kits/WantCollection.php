<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Items;
use Doctrine\DBAL\Connection;
use Lottel\Core\Kit\RefusedStage;

/** Puts a whole collection on a kit's list, so that it is pulled and put back as one: papers, stickers, embellishments, its scraps. */
final readonly class WantCollection
{
    private const MOST = 200;

    public function __construct(private Connection $database, private Items $items, private KitList $list)
    {
    }

    /** @return array<string, int> how many things each collection has in drawers, by its name */
    public function all(): array
    {
        $all = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT i.collection, count(DISTINCT i.id) AS many FROM item i JOIN balance b ON b.item_id = i.id
             JOIN place p ON p.id = b.place_id AND p.nature IN ('storage', 'unfiled')
             WHERE i.collection <> '' AND i.removed_at IS NULL GROUP BY i.collection ORDER BY i.collection LIMIT 300",
        ) as $columns) {
            $row = new Row($columns);
            $all[$row->text('collection')] = $row->int('many');
        }

        return $all;
    }

    /**
     * Returns how many things came onto the list; what stands there already stays as it is.
     *
     * @throws RefusedStage if the kit is closed
     * @throws StepRefused if nothing of it is in a drawer, or it has too many things for one list
     */
    public function __invoke(Kit $kit, string $collection): int
    {
        $kit->checkOpen();
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.id, s.here AS there FROM item i JOIN stock_of_item s ON s.item_id = i.id AND s.here > 0
             WHERE i.collection = :collection AND i.removed_at IS NULL AND NOT EXISTS (SELECT 1 FROM need n WHERE n.kit_id = :kit AND n.item_id = i.id)
             ORDER BY i.id',
            ['collection' => $collection, 'kit' => $kit->id],
        );
        if ([] === $rows) {
            throw KitsRefused::nothingOfCollection($collection);
        }
        if (\count($rows) > self::MOST) {
            throw StepRefused::collectionIsLarge($collection, \count($rows), self::MOST);
        }
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $item = $this->items->one($row->int('id'));
            $this->list->add($kit, $item, $item->tracking->movesWhole() ? 1 : $row->int('there'));
        }

        return \count($rows);
    }
}
