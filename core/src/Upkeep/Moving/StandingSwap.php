<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

/** Two pieces of furniture that change places. */
final readonly class StandingSwap
{
    /** @param StandingUnit $nearer the one that comes nearer to the bench */
    public function __construct(public StandingUnit $nearer, public StandingUnit $farther)
    {
    }

    /** Returns the seconds of walking that it saves a month. */
    public function saves(): float
    {
        return ($this->nearer->uses - $this->farther->uses) * ($this->nearer->walk - $this->farther->walk);
    }
}
