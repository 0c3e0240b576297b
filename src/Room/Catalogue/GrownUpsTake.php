<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Room\Log\LimitsMovements;
use Doctrine\DBAL\Connection;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Log\Movement;

/** What burns or cuts is taken by a grown-up. */
final readonly class GrownUpsTake implements LimitsMovements
{
    public function __construct(private Connection $database)
    {
    }

    public function check(Step $step, Movement $movement): void
    {
        if (!$step->who->isChild || !$movement->isTaking()) {
            return;
        }
        $item = new Row($this->database->fetchAssociative('SELECT name, hazards FROM item WHERE id = ?', [$movement->item]) ?: []);
        if (Hazard::leavesToGrownUps($item->several('hazards', Hazard::class))) {
            throw CatalogueRefused::isForGrownUps($item->text('name'));
        }
    }
}
