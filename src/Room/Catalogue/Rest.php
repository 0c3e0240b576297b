<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Doctrine\ORM\Mapping as ORM;

/** A thing that lies flat until some time: a pad that was inked anew. */
#[ORM\Entity]
#[ORM\Table(name: 'rest')]
#[ORM\UniqueConstraint(name: 'rest_item', columns: ['item_id'])]
class Rest
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\Column]
        public \DateTimeImmutable $until,
    ) {
    }

    public function until(\DateTimeImmutable $until): void
    {
        $this->until = $until;
    }
}
