<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** How far a round has come on which things are carried. */
final readonly class WalkState
{
    /** How many more stops it takes at the least. */
    private int $least;

    /**
     * @param list<int> $open numbers of the carries that are not taken
     * @param list<int> $undone numbers of the carries that are not put
     * @param list<int> $unseen places at which something else is to be done
     * @param list<Visit> $visits
     */
    public function __construct(
        public int $at,
        private array $open,
        private array $undone,
        private array $unseen,
        private int $inHand,
        public int $peak,
        public float $length,
        public array $visits,
        ?int $least = null,
    ) {
        $this->least = $least ?? \PHP_INT_MAX;
    }

    public function isDone(): bool
    {
        return [] === $this->undone && [] === $this->unseen;
    }

    /** Returns what is the same for two states that go on in the same way. */
    public function key(): string
    {
        return $this->at.'|'.implode(',', $this->open).'|'.implode(',', $this->undone).'|'.implode(',', $this->unseen);
    }

    public function order(self $other): int
    {
        return [$this->least, $this->peak, $this->length] <=> [$other->least, $other->peak, $other->length];
    }

    /**
     * @param list<Carry> $carries
     *
     * @return list<int> the places that have to be visited yet
     */
    public function places(array $carries): array
    {
        return self::toVisit($carries, $this->open, $this->undone, $this->unseen);
    }

    /**
     * Returns the state after going to a place, or null where nothing can be done there yet.
     *
     * @param list<Carry> $carries
     * @param list<list<float>> $distances
     */
    public function goTo(int $place, array $carries, array $distances): ?self
    {
        $takes = array_values(array_filter($this->open, static fn (int $i): bool => $carries[$i]->from === $place));
        $puts = array_values(array_filter(
            array_diff($this->undone, $this->open),
            static fn (int $i): bool => $carries[$i]->to === $place,
        ));
        if ([] === $takes && [] === $puts && !\in_array($place, $this->unseen, true)) {
            return null;
        }
        $most = $this->inHand + self::things($takes, $carries);
        $open = array_values(array_diff($this->open, $takes));
        $undone = array_values(array_diff($this->undone, $puts));
        $unseen = array_values(array_diff($this->unseen, [$place]));

        return new self(
            $place,
            $open,
            $undone,
            $unseen,
            $most - self::things($puts, $carries),
            max($this->peak, $most),
            $this->length + $distances[$this->at][$place],
            [...$this->visits, new Visit($place, $takes, $puts)],
            \count(self::toVisit($carries, $open, $undone, $unseen)),
        );
    }

    /**
     * @param list<int> $some numbers of carries
     * @param list<Carry> $carries
     */
    private static function things(array $some, array $carries): int
    {
        return array_sum(array_map(static fn (int $i): int => $carries[$i]->things, $some));
    }

    /**
     * @param list<Carry> $carries
     * @param list<int> $open
     * @param list<int> $undone
     * @param list<int> $unseen
     *
     * @return list<int>
     */
    private static function toVisit(array $carries, array $open, array $undone, array $unseen): array
    {
        return array_values(array_unique([
            ...array_map(static fn (int $i): int => $carries[$i]->from, $open),
            ...array_map(static fn (int $i): int => $carries[$i]->to, $undone),
            ...$unseen,
        ]));
    }
}
