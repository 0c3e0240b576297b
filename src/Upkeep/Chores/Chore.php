<?php

declare(strict_types=1);

namespace App\Upkeep\Chores;

use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;

/** Something that is to be done to a thing every so many days. */
#[ORM\Entity]
#[ORM\Table(name: 'chore')]
#[ORM\Index(name: 'chore_item', columns: ['item_id'])]
class Chore
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\Column(length: 60)]
        public readonly string $name,
        #[ORM\Column]
        public readonly int $everyDays,
        #[ORM\Column(type: 'date_immutable')]
        private \DateTimeImmutable $doneOn,
    ) {
    }

    public function done(\DateTimeImmutable $day): void
    {
        $this->doneOn = $day;
    }

    public function dueOn(): \DateTimeImmutable
    {
        return $this->doneOn->modify("+{$this->everyDays} days");
    }
}
