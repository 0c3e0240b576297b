<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Kits\Kits\Kit;
use App\Platform\Security\Account;
use App\Platform\Steps\StepRefused;
use App\Upkeep\Rounds\UpkeepRound;
use Doctrine\ORM\Mapping as ORM;

/** A round that one person gives to another; open until that one takes it on, or either lets it be. */
#[ORM\Entity]
#[ORM\Table(name: 'handover')]
#[ORM\Index(name: 'handover_kit', columns: ['kit_id'])]
#[ORM\Index(name: 'handover_errand', columns: ['errand_id'])]
#[ORM\Index(name: 'handover_giver', columns: ['giver_id'])]
#[ORM\Index(name: 'handover_taker', columns: ['taker_id', 'taken_at', 'dropped_at'])]
class Handover
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $takenAt = null;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $droppedAt = null;

    public function __construct(
        #[ORM\ManyToOne]
        public readonly ?Kit $kit,
        #[ORM\ManyToOne]
        public readonly ?UpkeepRound $errand,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Account $giver,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Account $taker,
        #[ORM\Column(length: 200, options: ['default' => ''])]
        public readonly string $note,
        #[ORM\Column]
        public readonly \DateTimeImmutable $at,
    ) {
    }

    public function name(): string
    {
        return $this->kit->name ?? $this->errand->name ?? '';
    }

    /** @throws StepRefused if it is settled, or given to somebody else */
    public function take(Account $who, \DateTimeImmutable $at): void
    {
        $this->checkOpen();
        if ($who !== $this->taker) {
            throw HandoverRefused::handoverIsSettled();
        }
        $this->takenAt = $at;
    }

    /** @throws StepRefused if it is settled, or none of this person's */
    public function drop(Account $who, \DateTimeImmutable $at): void
    {
        $this->checkOpen();
        if ($who !== $this->taker && $who !== $this->giver) {
            throw HandoverRefused::handoverIsSettled();
        }
        $this->droppedAt = $at;
    }

    private function checkOpen(): void
    {
        if (null !== $this->takenAt || null !== $this->droppedAt) {
            throw HandoverRefused::handoverIsSettled();
        }
    }
}
