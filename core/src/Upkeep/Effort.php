<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/** How much more may be tried, counted and not timed, so that the same question has the same answer on every machine. */
final class Effort
{
    public function __construct(private int $left)
    {
    }

    public function spend(int $tries): void
    {
        $this->left -= $tries;
    }

    public function isLeft(): bool
    {
        return $this->left > 0;
    }

    public function left(): int
    {
        return $this->left;
    }
}
