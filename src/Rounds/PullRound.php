<?php

declare(strict_types=1);

namespace App\Rounds;

/** A pull round as its page shows it: its stops in walking order with what is still to be taken, and what is nowhere. */
final readonly class PullRound
{
    /**
     * @param list<StopRow<TakeRow>> $stops
     * @param int $done stops that are behind
     * @param int $taken lines of the list that are settled, of $lines
     * @param list<NowhereRow> $nowhere
     * @param array<int, string> $lit number of the stop by front
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
    ) {
    }
}
