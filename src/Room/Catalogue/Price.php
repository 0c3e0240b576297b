<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Doctrine\ORM\Mapping as ORM;

/** What was paid for so much of a thing. */
#[ORM\Entity]
#[ORM\Table(name: 'price')]
#[ORM\Index(name: 'price_item', columns: ['item_id', 'day'])]
class Price
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\Column]
        public readonly int $cents,
        #[ORM\Column]
        public readonly int $quantity,
        #[ORM\Column(type: 'date_immutable')]
        public readonly \DateTimeImmutable $day,
        #[ORM\Column(length: 120, options: ['default' => ''])]
        public readonly string $shop = '',
        /** Whether it was paid on that day; what a list of old stock says is only known. */
        #[ORM\Column(options: ['default' => true])]
        public readonly bool $isSpent = true,
    ) {
    }
}
