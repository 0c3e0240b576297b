<?php

declare(strict_types=1);

namespace App\Platform\Schema;

use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use Doctrine\ORM\Mapping as ORM;

/** How much of an item is in a place, as the database keeps it beside the log, so that the schema is known as a whole. Only LogBook stores it. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'balance')]
#[ORM\Index(name: 'balance_place', columns: ['place_id', 'item_id', 'quantity'])]
class StoredBalance
{
    private function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Place $place,
        #[ORM\Column]
        public readonly int $quantity,
    ) {
    }
}
