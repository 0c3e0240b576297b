<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Tools\Event\GenerateSchemaEventArgs;
use Doctrine\ORM\Tools\ToolEvents;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * Tells Doctrine of the tables that no entity stands for, so that `doctrine:schema:validate` compares the whole schema and
 * `doctrine:schema:update` has nothing to drop. Each area declares its own.
 */
#[AsDoctrineListener(ToolEvents::postGenerateSchema)]
final readonly class OwnTables
{
    /** @param iterable<DeclaresTables> $areas */
    public function __construct(#[AutowireIterator(DeclaresTables::class)] private iterable $areas)
    {
    }

    public function postGenerateSchema(GenerateSchemaEventArgs $event): void
    {
        $tables = new SchemaTables($event->getSchema());
        foreach ($this->areas as $area) {
            $area->declareTables($tables);
        }
    }
}
