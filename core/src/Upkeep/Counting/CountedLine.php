<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Counting;

/** A thing in a place that is counted: what the log expects, and what was found. Quantities as its tracking counts. */
final readonly class CountedLine
{
    /** @param int|null $found null where it was not counted */
    public function __construct(public int $item, public int $expected, public ?int $found)
    {
    }

    /** Returns how much more there is than the log expects, below 0 where it is less; 0 where it was not counted. */
    public function difference(): int
    {
        return null === $this->found ? 0 : $this->found - $this->expected;
    }
}
