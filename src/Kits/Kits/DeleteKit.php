<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Deletes a kit that is only planned. One that the log or a round speaks of, since it was pulled and put back, is only out of sight. */
final readonly class DeleteKit
{
    public function __construct(private PartsOfKit $parts, private Connection $database, private EntityManagerInterface $entities)
    {
    }

    /** @throws StepRefused if it has been pulled */
    public function __invoke(Step $step, Kit $kit): void
    {
        if (!$kit->isPlanned()) {
            throw KitsRefused::isNotPlanned($kit->name);
        }
        $this->entities->flush();
        $parts = $this->parts->all();
        if (null !== $parts->keptBy((int) $kit->id)) {
            $kit->remove($step->at);

            return;
        }
        $parts->go((int) $kit->id);
        $this->entities->clear();
        $this->database->delete('kit', ['id' => $kit->id]);
    }
}
