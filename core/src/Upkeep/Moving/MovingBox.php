<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

use Lottel\Core\Homes\Contents;

/** A moving box and what goes into it, in the order in which it is packed. */
final readonly class MovingBox
{
    /** @param list<PackedThing> $things */
    public function __construct(public array $things)
    {
    }

    public function contents(): Contents
    {
        return self::sum($this->things);
    }

    /** Returns how often a month something in it is fetched. */
    public function uses(): float
    {
        return array_sum(array_map(static fn (PackedThing $thing): float => $thing->uses, $this->things));
    }

    /** @return list<int> the places that it is packed from, in their order */
    public function places(): array
    {
        return array_values(array_unique(array_map(static fn (PackedThing $thing): int => $thing->place, $this->things)));
    }

    /** Whether what is in it travels apart from paper. */
    public function isApart(): bool
    {
        return true === ($this->things[0] ?? null)?->isApart;
    }

    /** @param list<PackedThing> $things */
    public function and(array $things): self
    {
        return new self([...$this->things, ...$things]);
    }

    /** @param list<PackedThing> $things */
    public static function sum(array $things): Contents
    {
        return array_reduce($things, static fn (Contents $sum, PackedThing $thing): Contents => $sum->plus($thing->contents), new Contents(0, 0, 0));
    }
}
