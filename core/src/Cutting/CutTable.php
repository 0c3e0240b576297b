<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * Plans what is still lacking: out of what is free on the sheets that are being cut, then out of scraps, then out of sheets. What is
 * planned already on a sheet in work stays as it is.
 */
final readonly class CutTable
{
    public function __construct(private CutPlanner $planner)
    {
    }

    /**
     * @param array<int, Piece> $lacking by the piece's number
     * @param array<int, array{SheetInWork, string}> $inWork sheets with their paper, by number
     * @param array<int, Stock> $stocks by the stock's number
     */
    public function plan(array $lacking, array $inWork, array $stocks): PlannedCuts
    {
        $leaves = $this->leaves($lacking, $inWork);
        $all = [...array_column($leaves, 0), ...array_values($stocks)];
        [$plan, $used, $least] = $this->planned(array_values($lacking), $all);
        [$pieces, $numbers] = [array_keys($lacking), array_keys($stocks)];
        $changed = $opened = [];
        foreach ($used as $cut) {
            $part = WorkPart::planned($cut->root, $pieces);
            if (isset($leaves[$cut->stock])) {
                [, $number, $name] = $leaves[$cut->stock];
                $changed[$number] = ($changed[$number] ?? $inWork[$number][0])->plan($name, $part);
            } else {
                $opened[] = [$numbers[$cut->stock - \count($leaves)], SheetInWork::of($part)];
            }
        }
        $left = [];
        foreach ($plan->unplaced as $index => $count) {
            $left[$pieces[$index]] = $count;
        }

        return new PlannedCuts($changed, $opened, $left, $plan->score->sheets, $least, $plan->score);
    }

    /**
     * Halves of ISO sheets count as the next size wherever a plan allows it.
     *
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     *
     * @return array{CutPlan, list<CutStock>, int} the plan, what it cuts on the true sheets, and its bound
     */
    private function planned(array $pieces, array $stocks): array
    {
        $halved = [] === $pieces ? $stocks : array_map(static fn (Stock $stock): Stock => Halving::planned($stock, $pieces), $stocks);
        [$plan, $least] = $this->planner->plan($pieces, $halved);
        $used = [];
        foreach ($plan->used as $cut) {
            $root = Halving::onTrueSheet($cut->root, $stocks[$cut->stock]);
            if (null === $root) {
                [$plan, $least] = $this->planner->plan($pieces, $stocks);

                return [$plan, $plan->used, $least];
            }
            $used[] = new CutStock($cut->stock, $root);
        }

        return [$plan, $used, $least];
    }

    /**
     * @param array<int, Piece> $lacking
     * @param array<int, array{SheetInWork, string}> $inWork
     *
     * @return list<array{Stock, int, string}> each free part as stock, its sheet's number, and its name there
     */
    private function leaves(array $lacking, array $inWork): array
    {
        $narrowest = [] === $lacking ? 0 : min(array_map(static fn (Piece $piece): int => min($piece->width, $piece->height), $lacking));
        $leaves = [];
        foreach ($inWork as $number => [$sheet, $paper]) {
            foreach ($sheet->free() as $name => $part) {
                if (min($part->width, $part->height) >= $narrowest) {
                    $leaves[] = [new Stock($number.' '.$name, $part->width, $part->height, 1, $paper, false), $number, (string) $name];
                }
            }
        }

        return $leaves;
    }
}
