<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use Lottel\Core\Care\Hazard;

/** A pull round as its page shows it: its stops in walking order with what is still to be taken, and what is nowhere. */
final readonly class PullRound
{
    /**
     * @param list<StopRow<TakeRow>> $stops
     * @param int $done stops that are behind
     * @param int $taken lines of the list that are settled, of $lines
     * @param list<NowhereRow> $nowhere
     * @param array<int, string> $lit number of the stop by front
     * @param list<GrownUpsThing> $forGrownUps what the person leaves to a grown-up
     */
    public function __construct(
        public array $stops,
        public int $done,
        public int $total,
        public int $taken,
        public int $lines,
        public array $nowhere,
        public string $words,
        public array $lit,
        public string $time,
        public array $forGrownUps = [],
    ) {
    }

    /** Returns the round as a child walks it: what a grown-up takes is told, and no stop is made for it. */
    public function forChild(): self
    {
        $stops = $left = [];
        foreach ($this->stops as $stop) {
            [$own, $others] = [[], []];
            foreach ($stop->things as $row) {
                Hazard::leavesToGrownUps($row->line->thing->hazards) ? $others[] = $row : $own[] = $row;
            }
            $left = [...$left, ...array_map(static fn (TakeRow $row): GrownUpsThing => new GrownUpsThing($row->line->thing, $stop->address), $others)];
            if ([] !== $own) {
                $stops[] = new StopRow($stop->placeId, $stop->address, $own);
            }
        }

        return new self($stops, $this->done, $this->total, $this->taken, $this->lines, $this->nowhere, $this->words, $this->lit, $this->time, $left);
    }
}
