<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Throws that are the same in every run, for searches that must give the same answer to the same question. */
final class Dice
{
    public function __construct(private int $state = 19_311_125)
    {
    }

    /** Returns a number from 0 up to, but not including, a limit of one or more. */
    public function roll(int $below): int
    {
        $this->state = ($this->state * 1_103_515_245 + 12_345) & 0x7FFFFFFF;

        return ($this->state >> 8) % max(1, $below);
    }
}
