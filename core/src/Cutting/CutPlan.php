<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A plan: which stock is cut how, and which pieces are left over. */
final readonly class CutPlan
{
    public Score $score;

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     * @param list<CutStock> $used
     * @param array<int, int> $unplaced how many of each piece are left over
     */
    public function __construct(public array $pieces, public array $stocks, public array $used, public array $unplaced)
    {
        $sheets = $fromSheets = $opened = $largest = $cuts = 0;
        foreach ($used as $cut) {
            $stock = $stocks[$cut->stock];
            $cuts += $cut->root->cuts();
            if (!$stock->isSheet) {
                $opened += $stock->area();
                continue;
            }
            ++$sheets;
            $largest = max($largest, $cut->root->largestOffcut());
            foreach ($cut->root->pieces() as $index => $count) {
                $fromSheets += $count * $pieces[$index]->area();
            }
        }
        $left = $leftArea = 0;
        foreach ($unplaced as $index => $count) {
            $left += $count;
            $leftArea += $count * $pieces[$index]->area();
        }
        $this->score = new Score($left, $sheets, $fromSheets + $leftArea, $opened, $largest, $cuts);
    }
}
