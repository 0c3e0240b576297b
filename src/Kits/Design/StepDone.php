<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kit;
use Doctrine\ORM\Mapping as ORM;

/** For how many of a kit's cards, pages or sets a step of making is done. */
#[ORM\Entity]
#[ORM\Table(name: 'making_step')]
#[ORM\UniqueConstraint(name: 'making_step_kit', columns: ['kit_id', 'step'])]
class StepDone
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
        #[ORM\Column(length: 40)]
        public readonly string $step,
        #[ORM\Column]
        public int $done,
    ) {
    }

    /** So many of it are done. */
    public function count(int $many): void
    {
        $this->done = $many;
    }
}
