<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\Step;
use Doctrine\ORM\EntityManagerInterface;

final readonly class PlanKit
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function __invoke(Step $step, KitDescription $said): Kit
    {
        $kit = new Kit($said->name, $step->at);
        $kit->describe($said);
        $this->entities->persist($kit);
        $this->entities->flush();

        return $kit;
    }
}
