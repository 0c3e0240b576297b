<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use Doctrine\ORM\Mapping as ORM;

/** One person's bag for a class: it was checked, and all of it is in. */
#[ORM\Entity]
#[ORM\Table(name: 'bag')]
#[ORM\UniqueConstraint(name: 'bag_number', columns: ['workshop_id', 'number'])]
class PackedBag
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'bags'), ORM\JoinColumn(nullable: false)]
        public readonly Workshop $workshop,
        #[ORM\Column]
        public readonly int $number,
        #[ORM\Column]
        public readonly \DateTimeImmutable $packedAt,
    ) {
        $workshop->bags->add($this);
    }
}
