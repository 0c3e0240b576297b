<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Counting;

/** What was found in a place, against what the log expects there. */
final readonly class CountSheet
{
    /** @param list<CountedLine> $lines */
    public function __construct(public array $lines)
    {
    }

    /** @return list<CountedLine> those that were not counted */
    public function uncounted(): array
    {
        return array_values(array_filter($this->lines, static fn (CountedLine $line): bool => null === $line->found));
    }

    /** @return list<CountedLine> those of which there is more, or less, than the log expects */
    public function differing(): array
    {
        return array_values(array_filter($this->lines, static fn (CountedLine $line): bool => 0 !== $line->difference()));
    }
}
