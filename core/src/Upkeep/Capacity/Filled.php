<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Capacity;

use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\Contents;

/** How full and how heavy a place is, against what it takes. */
final readonly class Filled
{
    /** From here on a place is near its limit. */
    private const NEAR = 0.85;

    /** How full it is, 1 being full to bursting: the one scale wherever it is told. */
    public float $share;
    public ?float $load;

    /** @var list<string> what is wrong with it, worst first */
    public array $warnings;
    private float $withRoom;
    private float $litresLeft;

    /** @param Contents $contents all that is in it or belongs there */
    public function __construct(Capacity $capacity, public Contents $contents)
    {
        $this->share = $capacity->fullness($contents);
        $this->withRoom = $capacity->fullnessWithRoom($contents);
        $this->load = $capacity->load($contents);
        $this->warnings = $capacity->warnings($contents);
        $this->litresLeft = $capacity->litres() - $contents->litres;
    }

    public function isOver(): bool
    {
        return [] !== $this->warnings;
    }

    public function isNear(): bool
    {
        return !$this->isOver() && max($this->withRoom, $this->load ?? 0.0) >= self::NEAR;
    }

    /** Returns after how many weeks it is as full as it should be; null where it is already, or not within sight. */
    public function untilFull(?Growth $growth): ?UntilFull
    {
        return $this->litresLeft <= 0 ? null : $growth?->weeksUntil($this->litresLeft);
    }
}
