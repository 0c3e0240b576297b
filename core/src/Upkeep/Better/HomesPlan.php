<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Homes\ReachSeconds;

/** What the present homes cost in a month, and the few moves that save most of it. */
final readonly class HomesPlan
{
    /**
     * @param ReachSeconds $before seconds a month as it is, by motion
     * @param list<Exchange> $exchanges best first
     * @param float $uses how often a month something is fetched
     * @param int $unmeasured places whose inside nobody has measured, so that nothing moves in
     */
    public function __construct(public ReachSeconds $before, public array $exchanges, public float $uses, public int $unmeasured)
    {
    }

    /** Returns the seconds a month that all of it saves. */
    public function saves(): float
    {
        return array_sum(array_map(static fn (Exchange $exchange): float => $exchange->saves(), $this->exchanges));
    }

    /** @return list<BetterHome> */
    public function moves(): array
    {
        return array_merge(...array_map(static fn (Exchange $exchange): array => $exchange->moves, $this->exchanges));
    }
}
