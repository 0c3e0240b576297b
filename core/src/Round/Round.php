<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** One ordered walk: its stops with their lines, what has been done of it, and what is nowhere to be found. */
final readonly class Round
{
    /**
     * @param list<RoundStop> $stops that are still to be visited, in walking order
     * @param array<int, int> $nowhere how much of a line is in no drawer, by line
     * @param list<int> $visited the places at which something was done
     */
    private function __construct(public Purpose $purpose, public array $stops, public array $nowhere, private array $visited)
    {
    }

    /**
     * Returns the round past the places of all lines.
     *
     * @param list<RoundLine> $lines
     * @param callable(int): Stop $stopOf tells where a place is
     * @param array<int, int> $nowhere how much of a line is in no drawer, by line
     * @param list<int> $visited the places at which something was done already
     */
    public static function past(Purpose $purpose, array $lines, callable $stopOf, array $nowhere = [], array $visited = []): self
    {
        $byPlace = [];
        foreach ($lines as $line) {
            $byPlace[$line->place][] = $line;
        }
        $atTheEnd = array_keys(
            array_filter(
                $byPlace,
                static fn (array $here): bool => [] !== array_filter($here, static fn (RoundLine $line): bool => $line->isForTheEnd),
            ),
        );
        $ordered = (new WalkingOrder())->of(array_map($stopOf(...), array_keys($byPlace)), $atTheEnd, $purpose->beginsLoaded());

        return new self($purpose, array_map(static fn (Stop $stop): RoundStop => new RoundStop($stop, $byPlace[$stop->place]), $ordered), $nowhere, $visited);
    }

    /** Returns the stop that comes next, or null where the round is over. */
    public function next(): ?RoundStop
    {
        return $this->stops[0] ?? null;
    }

    /** Returns the stop at a place, or null where nothing is to be done there. */
    public function at(int $place): ?RoundStop
    {
        foreach ($this->stops as $stop) {
            if ($stop->at->place === $place) {
                return $stop;
            }
        }

        return null;
    }

    /**
     * Returns the lines of a thing with the places where they are dealt with.
     *
     * @return list<RoundLine>
     */
    public function linesOf(int $item): array
    {
        return array_values(
            array_filter(
                array_merge(...array_map(static fn (RoundStop $stop): array => $stop->lines, $this->stops)),
                static fn (RoundLine $line): bool => $line->item === $item,
            ),
        );
    }

    /** Returns how many stops are done with; one that is to be visited again is not. */
    public function done(): int
    {
        return \count(array_diff($this->visited, $this->places()));
    }

    /** Returns how many stops there are in all, done and to be done. */
    public function total(): int
    {
        return \count(array_unique([...$this->visited, ...$this->places()]));
    }

    /** @return array<int, int> the number of each stop that is still to be visited, by place */
    public function numbers(): array
    {
        $numbers = [];
        foreach ($this->places() as $index => $place) {
            $numbers[$place] = $this->done() + $index + 1;
        }

        return $numbers;
    }

    /** @return list<int> */
    private function places(): array
    {
        return array_map(static fn (RoundStop $stop): int => $stop->at->place, $this->stops);
    }
}
