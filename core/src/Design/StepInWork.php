<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** A step of making, and for how many of the cards, pages or sets it is done. */
final readonly class StepInWork
{
    public function __construct(public MakingStep $step, public int $done, public int $of)
    {
    }

    public function left(): int
    {
        return max(0, $this->of - $this->done);
    }
}
