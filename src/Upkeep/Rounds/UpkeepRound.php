<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Kits\Kits\Kit;
use App\Room\Stores\Place;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** A round of upkeep: things carried from home to home, looked for, counted. What is on its way lies in its basket. */
#[ORM\Entity]
#[ORM\Table(name: 'errand')]
#[ORM\Index(name: 'errand_basket', columns: ['basket_id'])]
class UpkeepRound
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** Whether what is carried waits in its basket, such as in a moving box, and nothing is put down yet. */
    #[ORM\Column(options: ['default' => false])]
    public bool $isWaiting = false;

    /** @var Collection<int, RoundTask> */
    #[ORM\OneToMany(targetEntity: RoundTask::class, mappedBy: 'errand', cascade: ['persist'])]
    #[ORM\OrderBy(['nth' => 'ASC', 'id' => 'ASC'])]
    public Collection $tasks;

    /** @param float $saves seconds a month, where it is walked for that */
    public function __construct(
        #[ORM\Column(length: 10)]
        public readonly RoundPurpose $purpose,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Place $basket,
        #[ORM\Column]
        public readonly \DateTimeImmutable $begunAt,
        #[ORM\Column(options: ['default' => 0])]
        public readonly float $saves = 0.0,
    ) {
        $this->tasks = new ArrayCollection();
    }

    /** @throws UpkeepRoundRefused if it is over, or there is no such task on it */
    public function task(int $id): RoundTask
    {
        $this->checkIsOpen();
        foreach ($this->tasks as $task) {
            if ($task->id === $id) {
                return $task;
            }
        }
        throw UpkeepRoundRefused::noSuchTask();
    }

    /** @return list<Kit> the kits whose things it brings home */
    public function kits(): array
    {
        $kits = [];
        foreach ($this->tasks as $task) {
            if (null !== $task->kit) {
                $kits[(int) $task->kit->id] = $task->kit;
            }
        }

        return array_values($kits);
    }

    /** @throws UpkeepRoundRefused if it is over */
    public function checkIsOpen(): void
    {
        if (null !== $this->endedAt) {
            throw UpkeepRoundRefused::isOver($this->name);
        }
    }

    /** @throws UpkeepRoundRefused if what is in its basket waits there */
    public function checkIsNotWaiting(): void
    {
        if ($this->isWaiting) {
            throw UpkeepRoundRefused::waits($this->basket->address);
        }
    }

    /** What is carried waits in its basket, and nothing is put down yet. */
    public function wait(): void
    {
        $this->isWaiting = true;
    }

    public function goOn(): void
    {
        $this->isWaiting = false;
    }

    /** It is over as soon as nothing of it is open, and goes on where something is again. */
    public function endWhenDone(\DateTimeImmutable $at): void
    {
        $isDone = $this->tasks->forAll(static fn (int $_, RoundTask $task): bool => $task->state->isOver());
        $this->endedAt = $isDone ? $at : null;
    }

    public function howMany(TaskState $state): int
    {
        return $this->tasks->filter(static fn (RoundTask $task): bool => $task->state === $state)->count();
    }

    /** The number of the stop after the last one. */
    public function afterLast(): int
    {
        return 1 + array_reduce($this->tasks->toArray(), static fn (int $last, RoundTask $task): int => max($last, $task->nth, $task->putNth ?? 0), 0);
    }
}
