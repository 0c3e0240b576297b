<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/** The few moves of things to other homes that save most seconds a month. */
final readonly class BestMoves
{
    private const USUAL = 1_500_000;

    /** So much at the least is left for the proof. */
    private const PROOF = 600_000;
    private const FIRST_STEPS = 240;
    private const STEPS = 80;
    private const PATIENCE = 20;
    private const ROUNDS = 6;

    /** Of more things not every plan is tried. */
    private const MOST_TRIED = 600;

    /** @param int $tries how much is tried; by default as much as takes about two seconds */
    public function __construct(private int $tries = self::USUAL)
    {
    }

    /**
     * @param list<Living> $things
     * @param list<LivingPlace> $places
     * @param int $most so many things move at the most
     */
    public function of(array $things, array $places, int $most): Moves
    {
        $question = new Rehoming($things, $places, $most);
        $pricing = new Effort(intdiv($this->tries, 2));
        $effort = new Effort($this->tries - intdiv($this->tries, 2));
        $prices = new RoomPrices($question);
        $wished = $this->price($prices, 0.0, self::FIRST_STEPS, self::PATIENCE, $pricing);
        $best = [];
        for ($round = 0; $round < self::ROUNDS && $effort->isLeft() && $prices->bound() > $question->saved($best) + $question->tolerance; ++$round) {
            $search = new MoveSearch($question, $prices->prices());
            foreach ([$best, $wished, []] as $from) {
                $found = $search->from($from, $effort);
                $best = self::better($question, $found, $best) ? $found : $best;
            }
            $wished = $this->price($prices, $question->saved($best), self::STEPS, 1, $pricing);
        }
        $isProven = $prices->bound() <= $question->saved($best) + $question->tolerance;
        if (!$isProven && \count($things) <= self::MOST_TRIED) {
            $best = ExchangeSearch::better($question, $prices->prices(), $best, $wished);
            $isProven = $prices->bound() <= $question->saved($best) + $question->tolerance;
        }
        if (\count($things) <= self::MOST_TRIED) {
            $every = new EveryMove($question, $prices, $prices->prices(), $best, new Effort(max(self::PROOF, $effort->left() + $pricing->left())));
            $best = $every->best();
            $isProven = $isProven || $every->isProven();
        }
        $after = self::cost($question, $best);

        return new Moves(
            $best,
            $question->before,
            $after,
            $isProven ? $after : max(0.0, min($after, $question->before - $prices->bound() - $question->tolerance)),
            $isProven,
        );
    }

    /**
     * @param int $least so many steps are made whatever they take
     *
     * @return array<int, int> the moves that the last prices would make
     */
    private function price(RoomPrices $prices, float $known, int $steps, int $least, Effort $effort): array
    {
        $wished = [];
        [$stride, $waited, $bound] = [1.5, 0, \INF];
        for ($step = 0; $step < $steps && ($step < $least || $effort->isLeft()); ++$step) {
            $wished = $prices->step($known, $stride);
            $effort->spend($prices->size());
            $waited = $prices->bound() < $bound ? 0 : $waited + 1;
            $bound = min($bound, $prices->bound());
            if ($waited >= self::PATIENCE) {
                [$stride, $waited] = [$stride / 2, 0];
            }
        }

        return $wished;
    }

    /**
     * @param array<int, int> $one
     * @param array<int, int> $other
     */
    private static function better(Rehoming $question, array $one, array $other): bool
    {
        $more = $question->saved($one) - $question->saved($other);

        return $more > $question->tolerance || ($more >= -$question->tolerance && \count($one) < \count($other));
    }

    /**
     * What all things cost when some live elsewhere, added up anew.
     *
     * @param array<int, int> $to
     */
    private static function cost(Rehoming $question, array $to): float
    {
        $cost = 0.0;
        foreach ($question->things as $i => $thing) {
            $cost += $thing->uses * $question->places[$to[$i] ?? $thing->place]->seconds;
        }

        return $cost;
    }
}
