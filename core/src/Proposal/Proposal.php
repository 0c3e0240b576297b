<?php

declare(strict_types=1);

namespace Lottel\Core\Proposal;

/** Things that would make something together, with what speaks against them in points: fewer are better. */
final readonly class Proposal
{
    /** @param array<string, ThingToUse> $parts by PartOfCard */
    public function __construct(public array $parts, public float $points)
    {
    }

    public function part(PartOfCard $part): ?ThingToUse
    {
        return $this->parts[$part->value] ?? null;
    }

    /** @return list<int> everything that it takes, what goes with its stamps too */
    public function things(): array
    {
        $things = array_map(static fn (ThingToUse $thing): int => $thing->id, array_values($this->parts));

        return array_values(array_unique([...$things, ...$this->part(PartOfCard::Stamps)->with ?? []]));
    }
}
