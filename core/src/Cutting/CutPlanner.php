<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * Plans guillotine cuts. What is best, in this order: every piece placed, fewest sheets started, most piece area cut from
 * scraps, least scrap area opened, the largest single offcut left of the sheets, fewest cuts. Each paper is planned by
 * itself: small jobs exactly, larger ones by many greedy fillings within a budget. The same input gives the same plan.
 */
final readonly class CutPlanner
{
    /** So many fits are looked at in about a second. */
    private const WORK_PER_SECOND = 1_600_000;

    /** The part of the search that goes into greedy fillings; the rest makes the best of them better. */
    private const SHARE_OF_FILLINGS = 0.12;

    /** More pieces of stock than this are not cut anew. */
    private const MOST_TO_RECUT = 400;

    /** Jobs with so few different sets of pieces are solved exactly straight away. */
    private const FEW_SETS = 1_100;

    /** What is spent on making an exact plan's cuts fewer. */
    private const WORK_FOR_FEWER_CUTS = 40_000;

    private const WORK_FOR_A_PROOF = 4_800_000;

    private const WORK_FOR_AN_OFFCUT = 1_500_000;

    private const WORK_FOR_VALUES = 4_000_000;

    private const TABLE_WORK_PER_SECOND = 8_000_000;

    /** Pieces on a sheet that holds little. */
    private const FEW = 9;

    /** @param float $seconds about how long the search may take; counted in work, not by a clock */
    public function __construct(private Trimmer $trimmer = new Trimmer(), private float $seconds = 1.0)
    {
    }

    /**
     * Returns the plan, and a number of sheets that no plan can go below.
     *
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     *
     * @return array{CutPlan, int}
     */
    public function plan(array $pieces, array $stocks): array
    {
        $used = $unplaced = [];
        $bound = 0;
        $papers = array_values(array_unique(array_map(static fn (Piece $piece): string => '='.$piece->paper, $pieces)));
        foreach ($papers as $paper) {
            $ownPieces = array_filter($pieces, static fn (Piece $piece): bool => '='.$piece->paper === $paper);
            $ownStocks = array_filter($stocks, static fn (Stock $stock): bool => '='.$stock->paper === $paper);
            [$plan, $least] = $this->onePaper(array_values($ownPieces), array_values($ownStocks), $this->seconds / \count($papers));
            [$pieceKeys, $stockKeys] = [array_keys($ownPieces), array_keys($ownStocks)];
            foreach ($plan->used as $cut) {
                $this->renumber($cut->root, $pieceKeys);
                $used[] = new CutStock($stockKeys[$cut->stock], $cut->root);
            }
            foreach ($plan->unplaced as $index => $count) {
                $unplaced[$pieceKeys[$index]] = $count;
            }
            $bound += min($plan->score->sheets, $least);
        }
        ksort($unplaced);

        return [new CutPlan($pieces, $stocks, $used, $unplaced), $bound];
    }

    /** @param list<int> $keys */
    private function renumber(SheetPart $root, array $keys): void
    {
        foreach ($root->leaves() as $leaf) {
            $leaf->piece = null === $leaf->piece ? null : $keys[$leaf->piece];
        }
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     *
     * @return array{CutPlan, int}
     */
    private function onePaper(array $pieces, array $stocks, float $seconds): array
    {
        $exact = SmallJob::isSmall($pieces, self::FEW_SETS) ? SmallJob::solve($pieces, $stocks, new Trimmer()) : null;
        if (null !== $exact && $this->canCut($exact)) {
            return [$this->withLargerOffcut($this->recut($exact, $pieces, $stocks, $exact->score->sheets, self::WORK_FOR_FEWER_CUTS)), $exact->score->sheets];
        }
        $bySheets = new SheetBound(min(SheetBound::BUDGET, $this->tableWork()));
        $bound = $exact?->score->sheets ?? max($bySheets->of($pieces, $stocks), (new SideBound())->of($pieces, $stocks));
        $plan = $this->searched($pieces, $stocks, $bound, (int) ($seconds * self::WORK_PER_SECOND));
        if (null === $exact) {
            $isOpen = $plan->score->unplaced > 0 || $plan->score->sheets > $bound;
            $work = (int) (min(1.0, $this->seconds) * ($isOpen ? self::WORK_FOR_A_PROOF : self::WORK_FOR_AN_OFFCUT));
            $exact = SmallJob::solve($pieces, $stocks, new Trimmer(), $work);
            $bound = $exact?->score->sheets ?? $bound;
        }
        if (0 === $plan->score->unplaced && $plan->score->sheets > $bound) {
            $bound = max($bound, (new ValueBound($pieces, $stocks))->of($plan->score->sheets, (int) (min(1.0, $this->seconds) * self::WORK_FOR_VALUES)));
        }
        $candidates = array_filter([
            $plan,
            null !== $exact && $this->canCut($exact) ? $exact : null,
            $this->hasLimits() ? SmallJob::solve($pieces, $stocks, $this->trimmer) : null,
        ]);
        foreach ($candidates as $candidate) {
            $plan = $candidate->score->isBetterThan($plan->score) ? $candidate : $plan;
        }

        return [$this->withLargerOffcut($plan), $bound];
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     */
    private function searched(array $pieces, array $stocks, int $bound, int $budget): CutPlan
    {
        $plan = (new GreedySearch($pieces, $stocks, $this->trimmer, $this->tableWork()))->search((int) ($budget * self::SHARE_OF_FILLINGS));

        return $this->recut($plan, $pieces, $stocks, $bound, $budget);
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     */
    private function recut(CutPlan $plan, array $pieces, array $stocks, int $bound, int $budget): CutPlan
    {
        $isVast = \count($plan->used) > self::MOST_TO_RECUT || $plan->score->unplaced > self::MOST_TO_RECUT;

        return $isVast ? $plan : (new Recutting($pieces, $stocks, $this->trimmer))->improve($plan, $bound, $budget);
    }

    /** What one table of patterns may take: less where a plan is wanted at once. */
    private function tableWork(): int
    {
        return (int) min(PatternTable::MOST_WORK, $this->seconds * self::TABLE_WORK_PER_SECOND);
    }

    private function hasLimits(): bool
    {
        return null !== $this->trimmer->longestCut || $this->trimmer->smallestStrip > 0;
    }

    /** Whether the trimmer can do every cut of a plan that was made without regard to it. */
    private function canCut(CutPlan $plan): bool
    {
        foreach ($this->hasLimits() ? $plan->used : [] as $cut) {
            if (!$this->canCutPart($cut->root)) {
                return false;
            }
        }

        return true;
    }

    private function canCutPart(SheetPart $part): bool
    {
        if (null === $part->first || null === $part->second) {
            return true;
        }
        $allowed = $part->isCutAlongX
            ? $this->trimmer->allows($part->height, $part->first->width, $part->second->width)
            : $this->trimmer->allows($part->width, $part->first->height, $part->second->height);

        return $allowed && $this->canCutPart($part->first) && $this->canCutPart($part->second);
    }

    /** Cuts the sheets with most room so that the largest offcut is as large as can be. */
    private function withLargerOffcut(CutPlan $plan): CutPlan
    {
        $used = $plan->used;
        $largest = $plan->score->largestOffcut;
        foreach ($this->byRoom($plan) as $at => $room) {
            $content = $used[$at]->root->pieces();
            if ($room <= $largest) {
                break;
            }
            if (array_sum($content) > self::FEW) {
                continue;
            }
            $stock = $plan->stocks[$used[$at]->stock];
            $keys = array_keys($content);
            $own = array_map(
                static fn (int $index): Piece => new Piece(
                    $plan->pieces[$index]->id,
                    $plan->pieces[$index]->width,
                    $plan->pieces[$index]->height,
                    $content[$index],
                    $plan->pieces[$index]->mayTurn,
                    '',
                ),
                $keys,
            );
            $alone = SmallJob::solve($own, [new Stock('', $stock->width, $stock->height, 1, '', true)], $this->trimmer);
            if (null !== $alone && 0 === $alone->score->unplaced && $alone->score->largestOffcut > $largest) {
                $this->renumber($alone->used[0]->root, $keys);
                $used[$at] = new CutStock($used[$at]->stock, $alone->used[0]->root);
                $largest = $alone->score->largestOffcut;
            }
        }

        return new CutPlan($plan->pieces, $plan->stocks, array_values($used), $plan->unplaced);
    }

    /** @return array<int, int> what is free on each sheet used, the most first */
    private function byRoom(CutPlan $plan): array
    {
        $rooms = [];
        foreach ($plan->used as $at => $cut) {
            if ($plan->stocks[$cut->stock]->isSheet) {
                $rooms[$at] =
                    $cut->root->area() -
                    array_sum(
                        array_map(
                            static fn (int $index, int $count): int => $count * $plan->pieces[$index]->area(),
                            array_keys($cut->root->pieces()),
                            $cut->root->pieces(),
                        ),
                    );
            }
        }
        arsort($rooms);

        return $rooms;
    }
}
