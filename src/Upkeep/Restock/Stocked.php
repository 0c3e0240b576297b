<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;

/** What somebody wants of a stock of a thing: the spare that is kept, how long new ones take, and what one pays at the most. */
#[ORM\Entity]
#[ORM\Table(name: 'stock_rule')]
#[ORM\UniqueConstraint(name: 'stock_rule_item', columns: ['item_id'])]
class Stocked
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** As its tracking counts. */
    #[ORM\Column(options: ['default' => 0])]
    public int $spare = 0;

    /** Null where nobody has said. */
    #[ORM\Column(nullable: true)]
    public ?int $leadDays = null;

    #[ORM\Column(nullable: true)]
    public ?int $ceilingCents = null;

    /** For so much of it. */
    #[ORM\Column(nullable: true)]
    public ?int $ceilingOf = null;

    public function __construct(
        #[ORM\OneToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
    ) {
    }

    public function say(int $spare, ?int $leadDays, ?int $ceilingCents, ?int $ceilingOf): void
    {
        [$this->spare, $this->leadDays] = [$spare, $leadDays];
        [$this->ceilingCents, $this->ceilingOf] = null === $ceilingCents || null === $ceilingOf ? [null, null] : [$ceilingCents, $ceilingOf];
    }
}
