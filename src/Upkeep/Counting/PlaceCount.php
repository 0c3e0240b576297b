<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Security\Account;
use App\Room\Stores\Place;
use Doctrine\ORM\Mapping as ORM;

/** Somebody counted a place. */
#[ORM\Entity]
#[ORM\Table(name: 'place_count')]
#[ORM\Index(name: 'place_count_place', columns: ['place_id', 'at'])]
#[ORM\Index(name: 'place_count_account', columns: ['account_id'])]
class PlaceCount
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /**
     * @param int $expected how many different things the log believed to be there, or were found there
     * @param int $wrong of how many of them there was more or less
     * @param int $touched movements into and out of it since it was counted before
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Place $place,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'account_id', nullable: false)]
        public readonly Account $who,
        #[ORM\Column]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column]
        public readonly int $expected,
        #[ORM\Column]
        public readonly int $wrong,
        #[ORM\Column(options: ['default' => 0])]
        public readonly int $touched = 0,
    ) {
    }
}
