<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Figures;

/** So many of so many. */
final readonly class Proportion
{
    public function __construct(public int $part, public int $whole)
    {
    }

    /** Returns it in whole percent; null of nothing. Never 100 where one is missing, nor 0 where there is one. */
    public function percent(): ?int
    {
        return match (true) {
            0 === $this->whole => null,
            $this->part >= $this->whole => 100,
            $this->part <= 0 => 0,
            default => max(1, min(99, (int) round(100 * $this->part / $this->whole))),
        };
    }
}
