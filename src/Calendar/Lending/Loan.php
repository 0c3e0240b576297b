<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Calendar\Year\Contact;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use Doctrine\ORM\Mapping as ORM;

/** A thing that is with somebody for a while, or is here though it is theirs. Quantities as the item's tracking counts. */
#[ORM\Entity]
#[ORM\Table(name: 'loan')]
#[ORM\Index(name: 'loan_item', columns: ['item_id'])]
#[ORM\Index(name: 'loan_contact', columns: ['contact_id'])]
#[ORM\Index(name: 'loan_place', columns: ['place_id'])]
class Loan
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** How much of it is settled: back here, back with its owner, or lost. */
    #[ORM\Column(options: ['default' => 0])]
    private int $ended = 0;

    /** @param Place|null $place what stands in the log for the person who has it; null for what is borrowed */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Contact $contact,
        #[ORM\Column(length: 8)]
        public readonly LoanWay $way,
        #[ORM\Column]
        public readonly int $quantity,
        #[ORM\Column(type: 'date_immutable')]
        public readonly \DateTimeImmutable $since,
        #[ORM\Column(type: 'date_immutable', nullable: true)]
        public ?\DateTimeImmutable $until,
        #[ORM\ManyToOne]
        public readonly ?Place $place = null,
        #[ORM\Column(length: 200, options: ['default' => ''])]
        public readonly string $note = '',
    ) {
    }

    /** Until when it may stay; null where nobody says. */
    public function extend(?\DateTimeImmutable $until): void
    {
        $this->until = $until;
    }

    /** How much of it is still with the other. */
    public function open(): int
    {
        return $this->quantity - $this->ended;
    }

    /** Whether it was to be back before a day. */
    public function isLate(\DateTimeImmutable $today): bool
    {
        return null !== $this->until && $this->open() > 0 && $this->until->format('Ymd') < $today->format('Ymd');
    }

    /** @throws CannotLend if less of it is open */
    public function end(int $quantity): void
    {
        if ($quantity > $this->open()) {
            throw CannotLend::notSoMuch($this->item->name, $this->contact->name, 0 === $this->open());
        }
        $this->ended += $quantity;
    }
}
