<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Lost;

/** What the log and the room say about where a lost thing may be: places by clue. */
final readonly class Trail
{
    /** @var array<string, list<int>> numbers of places by clue, each once; clues without a place are left out */
    public array $places;

    /** @param array<string, list<int>> $places numbers of places by the value of a clue */
    public function __construct(array $places)
    {
        $this->places = array_filter(
            array_map(static fn (array $some): array => array_values(array_unique($some)), $places),
            static fn (array $some): bool => [] !== $some,
        );
    }

    /** @return list<Clue> those that point at a place */
    public function cluesTo(int $place): array
    {
        return array_values(array_filter(Clue::cases(), fn (Clue $clue): bool => \in_array($place, $this->places[$clue->value] ?? [], true)));
    }

    /** @return list<int> numbers of all places that a clue points at */
    public function all(): array
    {
        return array_values(array_unique(array_merge(...array_values($this->places))));
    }
}
