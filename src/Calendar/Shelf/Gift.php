<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Calendar\Year\Contact;
use App\Calendar\Year\Occasion;
use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;

/** Finished pieces that left the room: to whom, how, when, for which day. The log has their movement. */
#[ORM\Entity]
#[ORM\Table(name: 'gift')]
#[ORM\Index(name: 'gift_item', columns: ['item_id'])]
#[ORM\Index(name: 'gift_contact', columns: ['contact_id'])]
#[ORM\Index(name: 'gift_occasion', columns: ['occasion_id'])]
#[ORM\Index(name: 'gift_movement', columns: ['movement_id'])]
class Gift
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    public ?Occasion $occasion = null;

    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $occasionDay = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\ManyToOne]
        public readonly ?Contact $contact,
        #[ORM\Column]
        public readonly int $movementId,
        #[ORM\Column(length: 6)]
        public readonly GiftWay $way,
        #[ORM\Column]
        public readonly int $quantity,
        #[ORM\Column(type: 'date_immutable')]
        public readonly \DateTimeImmutable $day,
        /** What all of them were sold for. */
        #[ORM\Column(nullable: true)]
        public readonly ?int $cents,
        #[ORM\Column(length: 200, options: ['default' => ''])]
        public readonly string $note = '',
    ) {
    }

    public function dedicateTo(?Occasion $occasion, ?\DateTimeImmutable $day): void
    {
        [$this->occasion, $this->occasionDay] = [$occasion, $day];
    }
}
