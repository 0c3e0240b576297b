<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Address;

/**
 * Ranks homes for a thing. What counts, in points of a hundred: what the place says belongs there 35, what lives there
 * already 25, a companion 15, room left 10, reach against how often it is used 15. The points are a judgement of ours.
 */
final class HomeRanking
{
    private const SAYS = 35.0;
    private const NEIGHBOURS = 25.0;
    private const COMPANION = 15.0;
    private const ROOM = 10.0;
    private const REACH = 15.0;
    /** How many months back use is looked at. */
    public const MONTHS = 3;

    /** What is taken to be free where a place's size is not known. */
    public const ROOM_UNKNOWN = 0.5;

    /** Below that nothing is proposed unasked; a judgement of ours. */
    private const WORTH_A_GUESS = 0.3;

    private const EXPECTED_OF_NEW = 1.0;
    private const ENOUGH_NEIGHBOURS = 8;
    private const FAR_SECONDS = 30.0;

    /** Returns how often a month a thing is expected to be used that was used so often in the last months; of one that was not, nothing is known yet. */
    public static function usesAMonth(int $uses): float
    {
        return 0 === $uses ? self::EXPECTED_OF_NEW : $uses / self::MONTHS;
    }

    /**
     * Returns the places that it fits and that do not refuse its kind, the best first.
     *
     * @param list<HomeCandidate> $candidates
     * @param float $usesAMonth expected
     *
     * @return list<HomeProposal>
     */
    public function rank(Thing $thing, array $candidates, float $usesAMonth = 1.0): array
    {
        $proposals = [];
        foreach ($candidates as $candidate) {
            if (
                $candidate->fits
                && (null === $candidate->saysKind || \in_array($thing->kind, [$candidate->saysKind, ...$candidate->alsoKinds], true))
                && $candidate->roomLeft > 0
            ) {
                $proposals[] = $this->propose($thing, $candidate, $usesAMonth);
            }
        }
        usort($proposals, static fn (HomeProposal $a, HomeProposal $b): int => $b->worth <=> $a->worth ?: Address::compare($a->address, $b->address));

        return $proposals;
    }

    /**
     * Returns the best of ranked homes where it is worth naming without being asked; null where nothing speaks for one.
     *
     * @param list<HomeProposal> $ranked
     */
    public static function worthAGuess(array $ranked): ?HomeProposal
    {
        return [] !== $ranked && $ranked[0]->worth >= self::WORTH_A_GUESS ? $ranked[0] : null;
    }

    /**
     * Returns the best of ranked homes where it is better than every other; null where two are as good.
     *
     * @param list<HomeProposal> $ranked
     */
    public static function clearlyBest(array $ranked): ?HomeProposal
    {
        return [] !== $ranked && (!isset($ranked[1]) || $ranked[0]->worth > $ranked[1]->worth) ? $ranked[0] : null;
    }

    /**
     * Returns the share of a place that is free, from some of the things that are in it.
     *
     * @param Capacity|null $capacity null where the place is not measured inside
     * @param Contents $some what $sampled of its $things take up together
     */
    public static function roomLeft(?Capacity $capacity, Contents $some, int $sampled, int $things): float
    {
        return null === $capacity ? self::ROOM_UNKNOWN : 1 - $capacity->fullnessWithRoom($some->times(0 === $sampled ? 0 : $things / $sampled));
    }

    private function propose(Thing $thing, HomeCandidate $candidate, float $usesAMonth): HomeProposal
    {
        $reasons = [];
        $points = $this->says($thing, $candidate, $reasons) + $this->neighbours($thing, $candidate, $reasons);
        if ($candidate->holdsCompanion) {
            $points += self::COMPANION;
            $reasons[] = 'what goes with it lives here';
        }
        $points += self::ROOM * min(1.0, 2 * $candidate->roomLeft);
        if ($candidate->roomLeft >= 0.3) {
            $reasons[] = 'there is room to grow';
        }
        $points += $this->reach($candidate, $usesAMonth, $reasons);

        return new HomeProposal($candidate->address, round($points / 100, 4), $reasons);
    }

    /** @param list<string> $reasons */
    private function says(Thing $thing, HomeCandidate $candidate, array &$reasons): float
    {
        $share = 0.0;
        $isMaker = '' !== $candidate->saysMaker && '' !== $thing->maker && Belonging::names($candidate->saysMaker, [$thing->maker]);
        $isTheme = '' !== $candidate->saysTheme && Belonging::names($candidate->saysTheme, $thing->themes);
        foreach ([
            [null !== $candidate->saysKind && \in_array($thing->kind, [$candidate->saysKind, ...$candidate->alsoKinds], true), 0.5, $thing->kind->value],
            [$isMaker, 0.3, $thing->maker],
            [$isTheme, 0.3, $candidate->saysTheme],
        ] as [$agrees, $weight, $word]) {
            if ($agrees) {
                $share += $weight;
                $reasons[] = 'its label says '.$word;
            }
        }
        if (('' !== $candidate->saysMaker && !$isMaker) || ('' !== $candidate->saysTheme && !$isTheme)) {
            $share -= 0.4;
        }

        return self::SAYS * max(-0.5, min(1.0, $share));
    }

    /** @param list<string> $reasons */
    private function neighbours(Thing $thing, HomeCandidate $candidate, array &$reasons): float
    {
        $alike = 0.0;
        foreach ($candidate->contents as $other) {
            $alike +=
                ($other->kind === $thing->kind ? 0.4 : 0) +
                ('' !== $thing->maker && $other->maker === $thing->maker ? 0.3 : 0) +
                ([] !== array_intersect($other->themes, $thing->themes) ? 0.3 : 0);
        }
        if ([] === $candidate->contents) {
            return 0.0;
        }
        $share = $alike / \count($candidate->contents);
        if ($share >= 0.5) {
            $reasons[] = 'things like it live here';
        }

        return self::NEIGHBOURS * $share * min(1.0, \count($candidate->contents) / self::ENOUGH_NEIGHBOURS + 0.5);
    }

    /** @param list<string> $reasons */
    private function reach(HomeCandidate $candidate, float $usesAMonth, array &$reasons): float
    {
        $near = 1 - min(1.0, $candidate->reachSeconds / self::FAR_SECONDS);
        $often = min(1.0, $usesAMonth / 8);
        if ($often >= 0.5 && $near >= 0.7) {
            $reasons[] = 'within easy reach, for something used often';
        } elseif ($often < 0.1 && $near <= 0.4) {
            $reasons[] = 'out of the way, for something used seldom';
        }

        return self::REACH * ($often * $near + (1 - $often) * (1 - $near) * 0.8);
    }
}
