<?php

declare(strict_types=1);

namespace Lottel\Core\Proposal;

/**
 * Lays out what lies idle: each proposal is the one with the fewest points among what the ones before it have left. The same things in give the same
 * proposals out; no thing is in two of them. In a room of many things only the best of each kind, by themselves, are tried with each other.
 */
final class Proposals
{
    private const PAPERS = 48;
    private const SMALL_THINGS = 40;

    /** @var array<int, array<int, float>> what speaks against two things beside each other, once found out */
    private array $beside = [];

    /**
     * @param list<ThingToUse> $stamps
     * @param list<ThingToUse> $papers
     * @param list<ThingToUse> $inks
     * @param list<ThingToUse> $embellishments
     * @param \Closure(PartOfCard, ThingToUse): bool $isEnough whether a cut plan gets the pieces of that part out of a paper
     */
    public function __construct(
        private readonly array $stamps,
        private readonly array $papers,
        private readonly array $inks,
        private readonly array $embellishments,
        private readonly \Closure $isEnough,
    ) {
    }

    /** @return list<Proposal> the best first; fewer than asked for where too little lies idle */
    public function best(int $many = 3): array
    {
        $taken = $proposals = [];
        for ($i = 0; $i < $many; ++$i) {
            $next = $this->next($taken);
            if (null === $next) {
                break;
            }
            $proposals[] = $next;
            $taken = [...$taken, ...$next->things()];
        }

        return $proposals;
    }

    /**
     * Returns the best ones with some parts swapped for the next best, one after the other; what was swapped out does not come back.
     *
     * @param list<array{int, PartOfCard}> $swaps which proposal, from 0, and which part of it
     */
    public function withSwaps(array $swaps, int $many = 3): SwappedProposals
    {
        $proposals = $this->best($many);
        $out = $stayed = [];
        foreach ($swaps as [$nth, $part]) {
            $was = ($proposals[$nth] ?? null)?->part($part);
            $taken = array_merge($out, ...array_map(static fn (Proposal $one): array => $one->things(), $proposals));
            $next = null === $was ? null : $this->swapped($proposals[$nth], $part, $taken);
            if (null === $was || null === $next) {
                $stayed[] = [$nth, $part];
                continue;
            }
            $out[] = $was->id;
            $proposals[$nth] = $next;
        }

        return new SwappedProposals($proposals, $stayed);
    }

    /**
     * Returns the same proposal with the next best thing for one of its parts; null where there is none.
     *
     * @param list<int> $without things that are taken elsewhere, or were swapped out
     */
    public function swapped(Proposal $proposal, PartOfCard $part, array $without): ?Proposal
    {
        $kept = array_diff_key($proposal->parts, [$part->value => true]);
        // The dies of a set that goes are free for the one that comes.
        $leaves = $proposal->part($part);
        $taken = [...$without, ...(new Proposal($kept, 0.0))->things(), ...null === $leaves ? [] : [$leaves->id]];
        $best = null;
        $whole = array_filter($this->of($part), static fn (ThingToUse $thing): bool => [] === array_intersect($thing->with, $taken));
        foreach ($this->free($whole, $taken, $part, \PHP_INT_MAX) as $thing) {
            $points = self::points([...$kept, $part->value => $thing]);
            $isBetter = null === $best || [$points, $thing->id] < [$best->points, $best->part($part)->id ?? 0];
            if ($isBetter && (!\in_array($part, [PartOfCard::Panel, PartOfCard::Mat], true) || ($this->isEnough)($part, $thing))) {
                $best = new Proposal([...$kept, $part->value => $thing], $points);
            }
        }

        return $best;
    }

    /**
     * Returns what speaks against these things together.
     *
     * @param array<string, ThingToUse> $parts by PartOfCard
     */
    public static function points(array $parts): float
    {
        $points = 0.0;
        foreach ($parts as $part => $thing) {
            $points += Weights::alone(PartOfCard::from($part), $thing);
        }
        [$panel, $mat] = [$parts[PartOfCard::Panel->value] ?? null, $parts[PartOfCard::Mat->value] ?? null];
        [$ink, $small] = [$parts[PartOfCard::Ink->value] ?? null, $parts[PartOfCard::Embellishment->value] ?? null];
        $points += null === $panel || null === $mat ? 0.0 : Weights::beside($panel, $mat);
        $points += null === $panel || null === $small ? 0.0 : Weights::beside($panel, $small);
        $points += null === $mat || null === $small ? 0.0 : Weights::beside($mat, $small);

        return $points + (null === $panel || null === $ink ? 0.0 : Weights::printed($ink, $panel));
    }

    /** @param list<int> $taken */
    private function next(array $taken): ?Proposal
    {
        $whole = array_filter($this->of(PartOfCard::Stamps), static fn (ThingToUse $set): bool => [] === array_intersect($set->with, $taken));
        $stamps = $this->free($whole, $taken, PartOfCard::Stamps, 1)[0] ?? null;
        if (null === $stamps) {
            return null;
        }
        $taken = [...$taken, $stamps->id, ...$stamps->with];
        $enough = [];
        foreach ($this->pairs($taken) as [$panel, $mat]) {
            $enough[PartOfCard::Panel->value][$panel->id] ??= ($this->isEnough)(PartOfCard::Panel, $panel);
            if (!$enough[PartOfCard::Panel->value][$panel->id]) {
                continue;
            }
            $enough[PartOfCard::Mat->value][$mat->id] ??= ($this->isEnough)(PartOfCard::Mat, $mat);
            if ($enough[PartOfCard::Mat->value][$mat->id]) {
                return $this->around([PartOfCard::Stamps->value => $stamps, PartOfCard::Panel->value => $panel, PartOfCard::Mat->value => $mat], $taken);
            }
        }

        return null;
    }

    /**
     * Adds the ink and the embellishment that go best with what is there; neither is needed where none is idle.
     *
     * @param array<string, ThingToUse> $parts
     * @param list<int> $taken
     */
    private function around(array $parts, array $taken): Proposal
    {
        foreach ([PartOfCard::Ink, PartOfCard::Embellishment] as $part) {
            $best = null;
            foreach ($this->free($this->of($part), $taken, $part, self::SMALL_THINGS) as $thing) {
                $points = self::points([...$parts, $part->value => $thing]);
                $best = null === $best || [$points, $thing->id] < [$best[0], $best[1]->id] ? [$points, $thing] : $best;
            }
            if (null !== $best) {
                $parts[$part->value] = $best[1];
                $taken[] = $best[1]->id;
            }
        }

        return new Proposal($parts, self::points($parts));
    }

    /**
     * @param list<int> $taken
     *
     * @return list<array{ThingToUse, ThingToUse}> panel and mat, the best pair first, with what goes best with it counted
     */
    private function pairs(array $taken): array
    {
        $papers = $this->free($this->papers, $taken, PartOfCard::Panel, self::PAPERS);
        $small = [
            PartOfCard::Ink->value => $this->free($this->inks, $taken, PartOfCard::Ink, self::SMALL_THINGS),
            PartOfCard::Embellishment->value => $this->free($this->embellishments, $taken, PartOfCard::Embellishment, self::SMALL_THINGS),
        ];
        $dots = $small[PartOfCard::Embellishment->value];
        $alone = array_map(static fn (ThingToUse $dot): float => Weights::alone(PartOfCard::Embellishment, $dot), $dots);
        $beside = $pairs = [];
        foreach ($papers as $paper) {
            $beside[$paper->id] = array_map(fn (ThingToUse $dot): float => $this->beside($paper, $dot), $dots);
        }
        $papersAlone = [];
        foreach ($papers as $paper) {
            $papersAlone[$paper->id] = Weights::alone(PartOfCard::Panel, $paper);
        }
        foreach ($papers as $panel) {
            $ink = self::least(array_map(
                static fn (ThingToUse $ink): float => Weights::alone(PartOfCard::Ink, $ink) + Weights::printed($ink, $panel),
                $small[PartOfCard::Ink->value],
            ));
            foreach ($papers as $mat) {
                if ($mat->id !== $panel->id) {
                    $dot = self::leastOf($alone, $beside[$panel->id], $beside[$mat->id]);
                    $points = $papersAlone[$panel->id] + $papersAlone[$mat->id] + $this->beside($panel, $mat) + $ink + $dot;
                    $pairs[] = [round($points, 6), $panel->id, $mat->id, $panel, $mat];
                }
            }
        }
        usort($pairs, static fn (array $a, array $b): int => [$a[0], $a[1], $a[2]] <=> [$b[0], $b[1], $b[2]]);

        return array_map(static fn (array $pair): array => [$pair[3], $pair[4]], $pairs);
    }

    private function beside(ThingToUse $one, ThingToUse $other): float
    {
        return $this->beside[$one->id][$other->id] ??= Weights::beside($one, $other);
    }

    /**
     * Returns the least of what three lists say together of each thing; nothing where they are empty.
     *
     * @param list<float> $alone
     * @param list<float> $onPanel
     * @param list<float> $onMat
     */
    private static function leastOf(array $alone, array $onPanel, array $onMat): float
    {
        $least = null;
        foreach ($alone as $nth => $points) {
            $all = $points + $onPanel[$nth] + $onMat[$nth];
            $least = null === $least || $all < $least ? $all : $least;
        }

        return $least ?? 0.0;
    }

    /** @param list<float> $points */
    private static function least(array $points): float
    {
        return [] === $points ? 0.0 : min($points);
    }

    /** @return list<ThingToUse> */
    private function of(PartOfCard $part): array
    {
        return match ($part) {
            PartOfCard::Stamps => array_values(array_filter($this->stamps, static fn (ThingToUse $set): bool => $set->isFitting)),
            PartOfCard::Panel, PartOfCard::Mat => $this->papers,
            PartOfCard::Ink => $this->inks,
            PartOfCard::Embellishment => $this->embellishments,
        };
    }

    /**
     * @param array<int, ThingToUse> $things
     * @param list<int> $taken
     *
     * @return list<ThingToUse> those that are not taken, the best by themselves first
     */
    private function free(array $things, array $taken, PartOfCard $part, int $most): array
    {
        $gone = array_flip($taken);
        $free = $points = $ids = [];
        foreach ($things as $thing) {
            if (!isset($gone[$thing->id])) {
                [$free[], $points[], $ids[]] = [$thing, Weights::alone($part, $thing), $thing->id];
            }
        }
        array_multisort($points, $ids, $free);

        return \array_slice($free, 0, $most);
    }
}
