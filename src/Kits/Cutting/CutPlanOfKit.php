<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use Doctrine\ORM\Mapping as ORM;

/** How good a kit's cut plan is known to be, and what the trimmer is set to. */
#[ORM\Entity]
#[ORM\Table(name: 'cut_plan')]
#[ORM\UniqueConstraint(name: 'cut_plan_kit', columns: ['kit_id'])]
class CutPlanOfKit
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** No plan opens fewer full sheets. */
    #[ORM\Column(options: ['default' => 0])]
    public int $least = 0;

    /** How hard a better plan was looked for. */
    #[ORM\Column(options: ['default' => 0])]
    public int $effort = 0;

    /** Whether the pieces are cut ahead of time, so that none is taken that is ready. */
    #[ORM\Column(options: ['default' => false])]
    public bool $isAhead = false;

    /** In ticks; null before the first cut. */
    #[ORM\Column(nullable: true)]
    public ?int $setting = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
    ) {
    }

    /** Its pieces are cut ahead of time: the kit is a batch. */
    public function cutAhead(): void
    {
        $this->isAhead = true;
    }

    /** No better plan is looked for. */
    public function beEnough(): void
    {
        $this->effort = \count(PlanCuts::EFFORTS);
    }

    /** It was planned anew, by the first effort; so many sheets at the least are needed. */
    public function startFrom(int $least): void
    {
        [$this->least, $this->effort] = [$least, 1];
    }

    /** One more effort was made; so many sheets at the least are needed. */
    public function countEffort(int $least): void
    {
        ++$this->effort;
        $this->least = max($this->least, $least);
    }

    /** The trimmer's fence was set to so many ticks. */
    public function setFence(int $setting): void
    {
        $this->setting = $setting;
    }
}
