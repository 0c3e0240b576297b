<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Homes\ReachSeconds;
use Lottel\Core\Upkeep\BestMoves;

/** Finds the few moves of things to other homes that save most seconds a month and break no rule of the room. */
final readonly class BetterHomes
{
    /** A plan that would overload a place is searched for again, so often at the most. */
    private const ATTEMPTS = 4;

    public function __construct(private BestMoves $search = new BestMoves())
    {
    }

    /**
     * Returns the plan; a place that is over-full, or overloaded, is never filled further.
     *
     * @param list<Household> $households
     * @param array<int, HomePlace> $places by their numbers; every home is amongst them
     * @param int $most so many moves at the most, at least 0
     */
    public function of(array $households, array $places, int $most): HomesPlan
    {
        $question = new HomesQuestion($households, $places);
        $to = $question->find($this->search, $most);
        for ($attempt = 1; $attempt < self::ATTEMPTS && [] !== ($tooHeavy = $question->tooHeavy($to)); ++$attempt) {
            $question->forbid($tooHeavy);
            $to = $question->find($this->search, $most);
        }

        return new HomesPlan(
            self::cost($households, $places),
            self::withoutFilling(array_map($question->id(...), $question->tooHeavy($to)), (new Exchanges($question))->of($to)),
            array_sum(array_map(static fn (Household $household): float => $household->uses, $households)),
            \count(array_filter($places, static fn (HomePlace $place): bool => null === $place->inside)),
        );
    }

    /**
     * @param array<int, int> $places that would still be overloaded
     * @param list<Exchange> $exchanges
     *
     * @return list<Exchange>
     */
    private static function withoutFilling(array $places, array $exchanges): array
    {
        return array_values(array_filter($exchanges, static fn (Exchange $exchange): bool => [] === array_intersect($places, array_map(
            static fn (BetterHome $move): int => $move->to->id,
            $exchange->moves,
        ))));
    }

    /**
     * @param list<Household> $households
     * @param array<int, HomePlace> $places
     */
    private static function cost(array $households, array $places): ReachSeconds
    {
        return array_reduce(
            $households,
            static fn (ReachSeconds $sum, Household $household): ReachSeconds => $sum->plus($places[$household->home]->reach->times($household->uses)),
            ReachSeconds::none(),
        );
    }
}
