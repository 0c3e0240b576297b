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
    private const WORK_PER_SECOND = 700_000;

    /** Pieces on a sheet that holds little. */
    private const FEW = 8;

    /** @param float $seconds about how long the search for one paper may take; counted in work, not by a clock */
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
            $plan = $this->onePaper(array_values($ownPieces), array_values($ownStocks), $this->seconds / \count($papers));
            [$pieceKeys, $stockKeys] = [array_keys($ownPieces), array_keys($ownStocks)];
            foreach ($plan->used as $cut) {
                $this->renumber($cut->root, $pieceKeys);
                $used[] = new CutStock($stockKeys[$cut->stock], $cut->root);
            }
            foreach ($plan->unplaced as $index => $count) {
                $unplaced[$pieceKeys[$index]] = $count;
            }
            $bound += min($plan->score->sheets, (new SheetBound())->of(array_values($ownPieces), array_values($ownStocks)));
        }
        ksort($unplaced);

        return [new CutPlan($pieces, $stocks, $used, $unplaced), $bound];
    }

    /** @param list<int> $keys */
    private function renumber(Part $root, array $keys): void
    {
        foreach ($root->leaves() as $leaf) {
            $leaf->piece = null === $leaf->piece ? null : $keys[$leaf->piece];
        }
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     */
    private function onePaper(array $pieces, array $stocks, float $seconds): CutPlan
    {
        $hasLimits = null !== $this->trimmer->longestCut || $this->trimmer->smallestStrip > 0;
        $exact = SmallJob::solve($pieces, $stocks, $this->trimmer);
        if (null !== $exact && !$hasLimits) {
            return $this->withLargerOffcut($exact);
        }
        $searched = (new GreedySearch($pieces, $stocks, $this->trimmer))->search((int) ($seconds * self::WORK_PER_SECOND));

        $best = null !== $exact && !$searched->score->isBetterThan($exact->score) ? $exact : $searched;

        return $this->withLargerOffcut($best);
    }

    /** Cuts each sheet that holds little so that its offcut is as large as can be. */
    private function withLargerOffcut(CutPlan $plan): CutPlan
    {
        $used = $plan->used;
        foreach ($used as $at => $cut) {
            $stock = $plan->stocks[$cut->stock];
            $content = $cut->root->pieces();
            if (!$stock->isSheet || array_sum($content) > self::FEW) {
                continue;
            }
            $keys = array_keys($content);
            $own = array_map(static fn (int $index): Piece => new Piece($plan->pieces[$index]->id, $plan->pieces[$index]->width, $plan->pieces[$index]->height, $content[$index], $plan->pieces[$index]->mayTurn, ''), $keys);
            $alone = SmallJob::solve($own, [new Stock('', $stock->width, $stock->height, 1, '', true)], $this->trimmer);
            if (null !== $alone && 0 === $alone->score->unplaced && $alone->score->largestOffcut > $cut->root->largestOffcut()) {
                $this->renumber($alone->used[0]->root, $keys);
                $used[$at] = new CutStock($cut->stock, $alone->used[0]->root);
            }
        }

        return new CutPlan($plan->pieces, $plan->stocks, $used, $plan->unplaced);
    }
}
