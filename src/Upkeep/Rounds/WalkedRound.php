<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

/** A round of upkeep as its page shows it. */
final readonly class WalkedRound
{
    /**
     * @param list<UpkeepStop> $stops that are still to be visited, the next one first
     * @param int $total how many there are in all
     * @param list<TaskRow> $carried what is in the basket
     * @param array<int, string> $lit what the room shows of it
     * @param string $time that is left, in words
     */
    public function __construct(public array $stops, public int $total, public array $carried, public array $lit, public string $time)
    {
    }

    /** How many things are still to be dealt with. */
    public function left(): int
    {
        return array_sum(array_map(static fn (UpkeepStop $stop): int => \count($stop->rows), $this->stops));
    }

    public function done(): int
    {
        return $this->total - \count($this->stops);
    }
}
