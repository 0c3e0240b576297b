<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/**
 * Betters a plan of moves where room is tight, by exchanges between places: from several starts, from large exchanges first or from those
 * that gain most for each move; then what hangs together in the plan is taken back, bit by bit, and done anew with what is left of moves.
 */
final class ExchangeSearch
{
    private const TRIES = 1_500_000;

    /** How much a move more counts against an exchange: all, some, nothing. */
    private const POWERS = [1.0, 0.6, 0.0];

    /**
     * @param array<int, float> $prices of the room of places
     * @param array<int, int> $best a plan to better: new homes by thing
     * @param array<int, int> $wished moves that the prices wish for
     *
     * @return array<int, int>
     */
    public static function better(Rehoming $question, array $prices, array $best, array $wished): array
    {
        $effort = new Effort(self::TRIES);
        $starts = [[], $best, $wished];
        foreach (self::POWERS as $nth => $power) {
            $search = new MoveSearch($question, $prices, new PlaceExchanges($question, $prices, $power));
            foreach (0 === $nth ? $starts : [[]] as $from) {
                $best = self::bestOf($question, $search->from($from, $effort), $best);
            }
            $best = self::anew($question, $search, $best, $effort);
        }

        return $best;
    }

    /**
     * @param array<int, int> $best
     *
     * @return array<int, int>
     */
    private static function anew(Rehoming $question, MoveSearch $search, array $best, Effort $effort): array
    {
        do {
            $before = $best;
            foreach (self::parts($question, $best) as $part) {
                if ($effort->isLeft()) {
                    $best = self::bestOf($question, $search->from(array_diff_key($before, array_flip($part)), $effort), $best);
                }
            }
        } while ($best !== $before && $effort->isLeft());

        return $best;
    }

    /**
     * @param array<int, int> $one
     * @param array<int, int> $other
     *
     * @return array<int, int>
     */
    private static function bestOf(Rehoming $question, array $one, array $other): array
    {
        return $question->saved($one) > $question->saved($other) + $question->tolerance ? $one : $other;
    }

    /**
     * @param array<int, int> $plan
     *
     * @return list<non-empty-list<int>> things whose moves hang together by the places that they share, and each two of such groups
     */
    private static function parts(Rehoming $question, array $plan): array
    {
        $group = [];
        foreach ($plan as $i => $q) {
            $p = $question->things[$i]->place;
            [$one, $other] = [$group[$p] ?? $p, $group[$q] ?? $q];
            $group += [$p => $p, $q => $q];
            foreach (array_keys($group, $other, true) as $place) {
                $group[$place] = $one;
            }
            $group[$q] = $group[$p] = $one;
        }
        $things = [];
        foreach (array_keys($plan) as $i) {
            $things[$group[$question->things[$i]->place]][] = $i;
        }
        $parts = array_values($things);
        foreach ($parts as $nth => $one) {
            foreach (\array_slice(array_values($things), $nth + 1) as $other) {
                $parts[] = [...$one, ...$other];
            }
        }

        return $parts;
    }
}
