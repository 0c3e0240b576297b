<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;

/** A finished piece that is kept for one of the days of an occasion. */
#[ORM\Entity]
#[ORM\Table(name: 'set_aside')]
#[ORM\Index(name: 'set_aside_day', columns: ['occasion_id', 'day'])]
#[ORM\Index(name: 'set_aside_item', columns: ['item_id'])]
class SetAside
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Occasion $occasion,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\Column(type: 'date_immutable')]
        public readonly \DateTimeImmutable $day,
    ) {
    }
}
