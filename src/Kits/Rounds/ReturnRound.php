<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\TrayRow;

/** A return round as its page shows it: what is on the tray by the place it goes to, in walking order; things without a home last. */
final readonly class ReturnRound
{
    /**
     * @param list<StopRow<TrayRow>> $stops
     * @param list<TrayRow> $homeless
     * @param int $done stops that are behind
     * @param int $returned different things that are home again
     * @param array<int, string> $lit number of the stop by front
     * @param list<int> $later things that were put off
     */
    public function __construct(
        public array $stops,
        public array $homeless,
        public int $done,
        public int $total,
        public int $returned,
        public array $lit,
        public string $time,
        public array $later,
    ) {
    }

    /** @return list<TrayRow> in the order in which they go home */
    public function things(): array
    {
        return [...array_merge(...array_map(static fn (StopRow $stop): array => $stop->things, $this->stops)), ...$this->homeless];
    }
}
