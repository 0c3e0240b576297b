<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\Kit;
use Doctrine\ORM\Mapping as ORM;

/** Which date of an occasion a kit is made for. */
#[ORM\Entity]
#[ORM\Table(name: 'kit_occasion')]
#[ORM\UniqueConstraint(name: 'kit_occasion_kit', columns: ['kit_id'])]
#[ORM\Index(name: 'kit_occasion_day', columns: ['occasion_id', 'day'])]
class KitForOccasion
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Occasion $occasion,
        #[ORM\Column(type: 'date_immutable')]
        public readonly \DateTimeImmutable $day,
    ) {
    }
}
