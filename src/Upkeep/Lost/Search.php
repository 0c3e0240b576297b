<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

/** Where a lost thing may be, and in which order to look. */
final readonly class Search
{
    /**
     * @param list<LikelySpot> $spots the likeliest first, at the end that it is elsewhere; their chances add up to 1
     * @param list<LikelySpot> $order those that are worth a look, in the order in which it is found soonest
     * @param float $seconds that looking into all of them takes, an estimate
     */
    public function __construct(public array $spots, public array $order, public float $seconds)
    {
    }

    /** How likely it is to be in one of the places that are worth a look, in percent. */
    public function percent(): int
    {
        return (int) round(100 * array_sum(array_map(static fn (LikelySpot $spot): float => $spot->likely->chance, $this->order)));
    }

    /** @return list<LikelySpot> those that are drawn apart; the others are told together */
    public function foremost(int $most): array
    {
        return \array_slice(array_values(array_filter($this->spots, static fn (LikelySpot $spot): bool => 0 !== $spot->likely->place)), 0, $most);
    }

    /** How many more places a clue points at. */
    public function moreThan(int $most): int
    {
        return max(0, \count($this->spots) - 1 - $most);
    }

    /** How likely it is to be in none of the foremost, in percent: what is left of a hundred, so that what is shown adds up. */
    public function restOf(int $most): int
    {
        return 100 - array_sum(array_map(static fn (LikelySpot $spot): int => $spot->percent(), $this->foremost($most)));
    }
}
