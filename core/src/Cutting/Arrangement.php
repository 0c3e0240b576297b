<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * A plan in the making: what lies on which stock, what still waits, and which stock is whole. What lies on a piece of stock
 * is never changed in place, only replaced, so that copies may share it.
 */
final class Arrangement
{
    /** @var array<int, CutStock> */
    public array $cuts = [];

    /** @var list<int> the pieces that wait, one entry each */
    public array $waiting = [];

    /** @var array<int, int> how many of each stock are whole */
    public array $whole = [];

    public int $sheets = 0;

    /** @var array<int, array{int, int, int, int}> by cut: piece area, largest offcut, cuts, area free */
    private array $measures = [];

    public static function of(CutPlan $plan): self
    {
        $arrangement = new self();
        $arrangement->whole = array_map(static fn (Stock $stock): int => $stock->quantity, $plan->stocks);
        foreach ($plan->used as $cut) {
            $arrangement->put($cut, $plan->pieces, $plan->stocks[$cut->stock]->isSheet);
        }
        foreach ($plan->unplaced as $index => $count) {
            $arrangement->waiting = [...$arrangement->waiting, ...array_fill(0, $count, $index)];
        }

        return $arrangement;
    }

    /** @param list<Piece> $pieces */
    public function put(CutStock $cut, array $pieces, bool $isSheet): void
    {
        --$this->whole[$cut->stock];
        $this->sheets += $isSheet ? 1 : 0;
        $this->cuts[] = $cut;
        $this->measures[array_key_last($this->cuts)] = self::measure($cut->root, $pieces);
    }

    public function take(int $at, bool $isSheet): CutStock
    {
        $cut = $this->cuts[$at];
        unset($this->cuts[$at], $this->measures[$at]);
        ++$this->whole[$cut->stock];
        $this->sheets -= $isSheet ? 1 : 0;

        return $cut;
    }

    /**
     * Returns how good it is, in the order of a plan's goals but for the cuts, of which fewer come after more free room on one
     * sheet; smaller is better.
     *
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     *
     * @return list<int>
     */
    public function value(array $pieces, array $stocks): array
    {
        $fromSheets = $opened = $largest = $cuts = $free = 0;
        foreach ($this->measures as $at => [$area, $offcut, $count, $room]) {
            $stock = $stocks[$this->cuts[$at]->stock];
            $cuts += $count;
            if ($stock->isSheet) {
                $fromSheets += $area;
                $largest = max($largest, $offcut);
                $free = max($free, $room);
            } else {
                $opened += $stock->area();
            }
        }

        return [\count($this->waiting), $this->sheets, $fromSheets + $this->waitingArea($pieces), $opened, -$largest, -$free, $cuts];
    }

    /** @param list<Piece> $pieces */
    public function waitingArea(array $pieces): int
    {
        $area = 0;
        foreach ($this->waiting as $index) {
            $area += $pieces[$index]->area();
        }

        return $area;
    }

    /** The piece area on a cut. */
    public function areaOn(int $at): int
    {
        return $this->measures[$at][0];
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     */
    public function plan(array $pieces, array $stocks): CutPlan
    {
        $cuts = array_values($this->cuts);
        usort($cuts, static fn (CutStock $a, CutStock $b): int => $a->stock <=> $b->stock);
        $unplaced = array_count_values($this->waiting);
        ksort($unplaced);

        return new CutPlan($pieces, $stocks, $cuts, $unplaced);
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return array{int, int, int, int}
     */
    private static function measure(SheetPart $root, array $pieces): array
    {
        $area = $largest = 0;
        $leaves = $root->leaves();
        foreach ($leaves as $leaf) {
            if (null === $leaf->piece) {
                $largest = max($largest, $leaf->width * $leaf->height);
            } else {
                $area += $leaf->width * $leaf->height;
            }
        }

        return [$area, $largest, \count($leaves) - 1, $root->width * $root->height - $area];
    }
}
