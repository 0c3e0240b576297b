<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Upkeep\Rounds\RoundTask;
use App\Upkeep\Rounds\TaskState;
use App\Upkeep\Rounds\UpkeepRound;
use Doctrine\ORM\Mapping as ORM;

/** A box of a house move: it is packed, and later unpacked, as a round. */
#[ORM\Entity]
#[ORM\Table(name: 'moving_box')]
#[ORM\Index(name: 'moving_box_move', columns: ['move_id'])]
#[ORM\Index(name: 'moving_box_errand', columns: ['errand_id'])]
class BoxOfMove
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /**
     * @param int $nth as which it is packed, from 1
     * @param int $unpackNth as which it is unpacked, from 1
     * @param float $litres an estimate where something was not measured, as its grams are
     */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'boxes'), ORM\JoinColumn(nullable: false)]
        public readonly HouseMove $move,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly UpkeepRound $errand,
        #[ORM\Column]
        public readonly int $nth,
        #[ORM\Column]
        public readonly int $unpackNth,
        #[ORM\Column]
        public readonly float $litres,
        #[ORM\Column]
        public readonly float $grams,
    ) {
    }

    public function name(): string
    {
        return $this->errand->basket->address;
    }

    public function isToPack(): bool
    {
        return $this->errand->howMany(TaskState::Open) > 0;
    }

    public function isToUnpack(): bool
    {
        return $this->things() > 0;
    }

    /** How many things are in it. */
    public function things(): int
    {
        return $this->errand->howMany(TaskState::Carried);
    }

    public function isOver(): bool
    {
        return null !== $this->errand->endedAt;
    }

    /** @return list<string> the addresses that it is packed from */
    public function places(): array
    {
        return array_values(array_unique(array_map(
            static fn (RoundTask $task): string => $task->place->forLog()->label,
            $this->errand->tasks->toArray(),
        )));
    }

    /** How full it is, by room or by weight, whichever is more; 1 is full. */
    public function fullness(): float
    {
        return max($this->litres / max(1e-9, $this->move->limits()->litres()), $this->grams / $this->move->mostGrams);
    }

    public function percent(): int
    {
        return (int) round(100 * $this->fullness());
    }
}
