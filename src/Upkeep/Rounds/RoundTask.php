<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Kits\Kits\Kit;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use Doctrine\ORM\Mapping as ORM;

/** One thing to do on an errand: carry something from place to place, look for something, or count what is in a place. */
#[ORM\Entity]
#[ORM\Table(name: 'errand_task')]
#[ORM\Index(name: 'errand_task_errand', columns: ['errand_id'])]
#[ORM\Index(name: 'errand_task_item', columns: ['item_id'])]
#[ORM\Index(name: 'errand_task_place', columns: ['place_id'])]
#[ORM\Index(name: 'errand_task_to', columns: ['to_id'])]
#[ORM\Index(name: 'errand_task_kit', columns: ['kit_id'])]
class RoundTask
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(length: 8, options: ['default' => 'open'])]
    public TaskState $state = TaskState::Open;

    /**
     * @param Place $place where it is taken, looked for or counted
     * @param Place|null $to where it is put, and whether that becomes its home
     * @param int $nth number of the stop, from 1
     * @param int|null $putNth number of the stop where it is put
     * @param int|null $chance in thousandths, of finding it there
     * @param Kit|null $kit from whose tray it goes home
     */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'tasks'), ORM\JoinColumn(nullable: false)]
        public readonly UpkeepRound $errand,
        #[ORM\Column(length: 10)]
        public readonly TaskKind $what,
        #[ORM\ManyToOne]
        public readonly ?Item $item,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Place $place,
        #[ORM\ManyToOne]
        public readonly ?Place $to = null,
        #[ORM\Column(options: ['default' => false])]
        public readonly bool $becomesHome = false,
        #[ORM\Column]
        public readonly int $nth = 1,
        #[ORM\Column(nullable: true)]
        public readonly ?int $putNth = null,
        #[ORM\Column(nullable: true)]
        public readonly ?int $chance = null,
        #[ORM\ManyToOne]
        public readonly ?Kit $kit = null,
    ) {
    }

    /** @throws UpkeepRoundRefused if it is not what is to be done, or was done already */
    public function check(TaskKind $what, TaskState ...$in): self
    {
        if ($what !== $this->what) {
            throw UpkeepRoundRefused::noSuchTask();
        }
        if (!\in_array($this->state, $in, true)) {
            throw UpkeepRoundRefused::isDoneAlready($this->item->name ?? $this->place->address);
        }

        return $this;
    }

    public function become(TaskState $state): void
    {
        $this->state = $state;
    }

    /** It is not done on this round, if nothing of it was begun. */
    public function leave(): void
    {
        $this->state = TaskState::Open === $this->state ? TaskState::Left : $this->state;
    }

    /** @return list<int> numbers of its stops; what was picked up on the way has only the one where it is put */
    public function stops(): array
    {
        return array_values(array_filter([$this->nth, $this->putNth], static fn (?int $nth): bool => null !== $nth && $nth > 0));
    }

    /** @throws UpkeepRoundRefused if it is about no thing */
    public function thing(): Item
    {
        return $this->item ?? throw UpkeepRoundRefused::noSuchTask();
    }

    /** @throws UpkeepRoundRefused if nothing is carried */
    public function target(): Place
    {
        return $this->to ?? throw UpkeepRoundRefused::noSuchTask();
    }
}
