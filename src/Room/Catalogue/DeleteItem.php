<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Deletes a thing that never moved; what the log speaks of is kept. */
final readonly class DeleteItem
{
    public function __construct(private Connection $database, private EntityManagerInterface $entities, private ItemIndex $index)
    {
    }

    /** @throws StepRefused if it has moved, or is on the list of a kit */
    public function __invoke(Item $item): void
    {
        if (false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE item_id = ?', [$item->id])) {
            throw CatalogueRefused::hasMoved($item->name);
        }
        $kit = $this->database->fetchOne(
            'SELECT k.name FROM kit k WHERE k.id IN (SELECT kit_id FROM need WHERE item_id = :item UNION SELECT kit_id FROM piece WHERE paper_id = :item)',
            ['item' => $item->id],
        );
        if (false !== $kit) {
            throw CatalogueRefused::isOnAList($item->name, Row::word($kit));
        }
        $this->entities->flush();
        $this->database->executeStatement('DELETE FROM companion WHERE item_id = :id OR other_id = :id', ['id' => $item->id]);
        $this->database->delete('label_wish', ['item_id' => $item->id]);
        $this->database->delete('spot', ['item_id' => $item->id]);
        $this->database->delete('price', ['item_id' => $item->id]);
        $this->database->delete('stock_rule', ['item_id' => $item->id]);
        $this->database->update('album_page', ['item_id' => null], ['item_id' => $item->id]);
        $this->database->update('item', ['parent_id' => null], ['parent_id' => $item->id]);
        $this->index->forgetItem((int) $item->id);
        $this->entities->remove($item);
        $this->entities->flush();
    }
}
