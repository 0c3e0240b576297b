<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Deletes a thing that never moved; what the log speaks of is kept. */
final readonly class DeleteItem
{
    public function __construct(
        private PartsOfThing $parts,
        private Connection $database,
        private EntityManagerInterface $entities,
        private ItemIndex $index,
    ) {
    }

    /** @throws StepRefused if it has moved, or is on the list of a kit */
    public function __invoke(Item $item): void
    {
        if (false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE item_id = ?', [$item->id])) {
            throw CatalogueRefused::hasMoved($item->name);
        }
        $parts = $this->parts->all();
        $list = $parts->keptBy((int) $item->id);
        if (null !== $list) {
            throw CatalogueRefused::isOnAList($item->name, $list);
        }
        $this->entities->flush();
        $parts->go((int) $item->id);
        $this->index->forgetItem((int) $item->id);
        $this->entities->remove($item);
        $this->entities->flush();
    }
}
