<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** A stop of a round with all that is done there. */
final readonly class RoundStop
{
    /** @param list<RoundLine> $lines at least one */
    public function __construct(public Stop $at, public array $lines)
    {
    }

    /** Returns the line with a number, or null where it is none of this stop. */
    public function line(int $id): ?RoundLine
    {
        foreach ($this->lines as $line) {
            if ($line->id === $id) {
                return $line;
            }
        }

        return null;
    }
}
