<?php

declare(strict_types=1);

namespace App\Upkeep\Capacity;

/** The places of which there is something to tell. */
final readonly class FilledRoom
{
    /**
     * @param list<FilledPlace> $places those of which there is something to tell, the fullest first
     * @param list<string> $empty addresses of those that hold nothing
     * @param int $unmeasured places that hold something and are not measured inside
     */
    public function __construct(public array $places, public array $empty, public int $unmeasured)
    {
    }

    /** @return list<FilledPlace> */
    public function over(): array
    {
        return $this->only(static fn (FilledPlace $place): bool => $place->filled->isOver());
    }

    /** @return list<FilledPlace> */
    public function near(): array
    {
        return $this->only(static fn (FilledPlace $place): bool => $place->filled->isNear());
    }

    /** @return list<FilledPlace> those with something that children should not reach */
    public function dangerous(): array
    {
        return $this->only(static fn (FilledPlace $place): bool => [] !== $place->dangers);
    }

    /** @return list<FilledPlace> those that will be full, the soonest first */
    public function growing(): array
    {
        $growing = $this->only(static fn (FilledPlace $place): bool => $place->isGrowing());
        usort($growing, static fn (FilledPlace $a, FilledPlace $b): int => $a->until?->likely <=> $b->until?->likely);

        return $growing;
    }

    /**
     * @param \Closure(FilledPlace): bool $which
     *
     * @return list<FilledPlace>
     */
    private function only(\Closure $which): array
    {
        return array_values(array_filter($this->places, $which));
    }
}
