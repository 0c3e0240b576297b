<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Contents;

/** What lives in one home and stays together when it moves: a thing, or a stamp set with its dies. */
final readonly class Household
{
    /**
     * @param non-empty-list<Thing> $things
     * @param int $home number of the place where it lives
     * @param float $uses how often a month it is fetched, together counted once
     * @param Contents $contents what of it lies in its home
     * @param list<Box> $boxes of its things as they are put away
     * @param list<Hazard> $hazards of its things
     * @param bool $isHere whether it is at home now; what is out cannot be carried
     */
    public function __construct(
        public array $things,
        public int $home,
        public float $uses,
        public Contents $contents,
        public array $boxes,
        public array $hazards,
        public bool $isHere = true,
    ) {
    }

    /**
     * Returns households of one home as one that stays together.
     *
     * @param non-empty-list<self> $households
     * @param float|null $uses how often a month it is fetched; null for what they are fetched one by one, added up
     */
    public static function joined(array $households, ?float $uses = null): self
    {
        return new self(
            array_merge(...array_map(static fn (self $one): array => $one->things, $households)),
            $households[0]->home,
            $uses ?? array_sum(array_map(static fn (self $one): float => $one->uses, $households)),
            array_reduce($households, static fn (Contents $sum, self $one): Contents => $sum->plus($one->contents), new Contents(0, 0, 0)),
            array_merge(...array_map(static fn (self $one): array => $one->boxes, $households)),
            array_values(array_unique(array_merge(...array_map(static fn (self $one): array => $one->hazards, $households)), \SORT_REGULAR)),
            [] === array_filter($households, static fn (self $one): bool => !$one->isHere),
        );
    }

    /** Returns its room as whole millilitres, at least 1. */
    public function millilitres(): int
    {
        return max(1, (int) ceil(1000 * $this->contents->litres));
    }

    /** Returns the name of its first thing, and how many go with it. */
    public function name(): string
    {
        $more = \count($this->things) - 1;

        return $this->things[0]->name.(0 === $more ? '' : ' and '.(1 === $more ? 'what goes with it' : $more.' that go with it'));
    }
}
