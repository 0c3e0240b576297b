<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * Makes a plan better by taking a part of it back and cutting it anew, again and again. What is taken back is a branch of
 * the cuts of a few pieces of stock; what waits is then laid, the largest first and now and then out of turn, into the free
 * part that it fits best. To save a sheet, one is given up and the rest is stirred until nothing waits.
 *
 * Ruin and recreate with late acceptance, for guillotine cuts after Gardeyn and Wauters, "A goal-driven ruin and recreate
 * heuristic for the 2D variable-sized bin packing problem with guillotine constraints" (2022); from memory.
 */
final class Recutting
{
    /** How many values back a new one is compared with. */
    private const PATIENCE = 40;

    /** What a round of taking back and laying costs beside the fits that it looks at. */
    private const WORK_OF_A_ROUND = 60;

    private const WORK_OF_A_PIECE = 25;

    /** What looking over a plan of very many sheets costs besides, for each sheet beyond so many. */
    private const MANY_SHEETS = 60;
    private const WORK_OF_A_SHEET = 5;

    private int $work = 0;

    private readonly Dice $dice;

    private readonly Carver $carver;

    /** @var list<list<array{int, int, bool}>> by piece */
    private array $ways;

    /** @var list<list<int>> by piece: the scraps that hold it, the smallest first */
    private array $scrapsFor = [];

    /** @var list<list<int>> by piece: the sheets that hold it */
    private array $sheetsFor = [];

    private int $narrowest = \PHP_INT_MAX;

    /**
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    public function __construct(private readonly array $pieces, private readonly array $stocks, Trimmer $trimmer)
    {
        $this->dice = new Dice();
        $this->carver = new Carver($trimmer);
        $this->ways = array_map(static fn (Piece $piece): array => $piece->ways(), $pieces);
        $byArea = array_keys($stocks);
        usort($byArea, static fn (int $a, int $b): int => $stocks[$a]->area() <=> $stocks[$b]->area() ?: $a <=> $b);
        foreach ($pieces as $index => $piece) {
            $this->narrowest = min($this->narrowest, $piece->width, $piece->height);
            $fitting = array_filter($byArea, fn (int $stock): bool => $this->fits($index, $stocks[$stock]));
            $this->scrapsFor[] = array_values(array_filter($fitting, static fn (int $stock): bool => !$stocks[$stock]->isSheet));
            $this->sheetsFor[] = array_values(array_filter($fitting, static fn (int $stock): bool => $stocks[$stock]->isSheet));
        }
    }

    /**
     * Returns a plan that is no worse.
     *
     * @param int $fewest a number of sheets that no plan can go below
     * @param int $budget what may be done, in fits looked at
     */
    public function improve(CutPlan $plan, int $fewest, int $budget): CutPlan
    {
        $best = Arrangement::of($plan);
        while ([] === $best->waiting && $best->sheets > max(1, $fewest) && $this->work < $budget * 0.7) {
            $saved = $this->withOneLess($best, (int) ($budget * 0.7));
            if (null === $saved) {
                break;
            }
            $best = $saved;
        }
        $improved = $this->stirred($best, $budget)->plan($this->pieces, $this->stocks);

        return $improved->score->isBetterThan($plan->score) ? $improved : $plan;
    }

    /** Returns an arrangement with a sheet less in which nothing waits, or null where none was found. */
    private function withOneLess(Arrangement $from, int $budget): ?Arrangement
    {
        $current = clone $from;
        $sheets = array_filter(array_keys($current->cuts), fn (int $at): bool => $this->isSheet($current->cuts[$at]));
        usort($sheets, static fn (int $a, int $b): int => $current->areaOn($a) <=> $current->areaOn($b));
        $this->give($current, $sheets[0]);
        $most = $current->sheets;
        $value = $current->waitingArea($this->pieces) + 1;
        $history = array_fill(0, self::PATIENCE, $value);
        for ($round = 0; $this->work < $budget; ++$round) {
            $next = $this->recut($current, $most);
            if ([] === $next->waiting) {
                return $next;
            }
            $nextValue = $next->waitingArea($this->pieces);
            $slot = $round % self::PATIENCE;
            if ($nextValue <= $value || $nextValue <= $history[$slot]) {
                $current = $next;
                $value = $nextValue;
            }
            $history[$slot] = $value;
        }

        return null;
    }

    /** Returns the best arrangement found with no more sheets. */
    private function stirred(Arrangement $best, int $budget): Arrangement
    {
        $most = $best->sheets;
        $value = $bestValue = $best->value($this->pieces, $this->stocks);
        $current = $best;
        $history = array_fill(0, self::PATIENCE, $value);
        for ($round = 0; $this->work < $budget; ++$round) {
            $next = $this->recut($current, $most);
            $nextValue = $next->value($this->pieces, $this->stocks);
            $slot = $round % self::PATIENCE;
            if ($nextValue <= $value || $nextValue <= $history[$slot]) {
                $current = $next;
                $value = $nextValue;
            }
            if ($nextValue < $bestValue) {
                [$best, $bestValue] = [$next, $nextValue];
            }
            $history[$slot] = $value;
        }

        return $best;
    }

    private function recut(Arrangement $from, int $mostSheets): Arrangement
    {
        $this->work += self::WORK_OF_A_ROUND + self::WORK_OF_A_SHEET * max(0, \count($from->cuts) - self::MANY_SHEETS);
        $next = clone $from;
        $open = [];
        foreach ($this->picked($next) as $at) {
            $cut = $next->cuts[$at];
            $this->give($next, $at);
            $rest = $this->rest($cut, $next);
            if (null !== $rest) {
                $open[] = $rest;
            }
        }
        $this->lay($next, $open, $mostSheets);

        return $next;
    }

    /** @return list<int> the cuts to take back from, one to four */
    private function picked(Arrangement $arrangement): array
    {
        $keys = array_keys($arrangement->cuts);
        $sheets = array_values(array_filter($keys, fn (int $at): bool => $this->isSheet($arrangement->cuts[$at])));
        $picked = [];
        for ($wanted = 1 + $this->dice->roll(4); $wanted > 0 && [] !== $keys; --$wanted) {
            $from = [] !== $sheets && 0 === $this->dice->roll(2) ? $sheets : $keys;
            $picked[$from[$this->dice->roll(\count($from))]] = true;
        }

        return array_keys($picked);
    }

    /** Takes everything off a piece of stock. */
    private function give(Arrangement $arrangement, int $at): void
    {
        $cut = $arrangement->take($at, $this->isSheet($arrangement->cuts[$at]));
        foreach ($cut->root->leaves() as $leaf) {
            if (null !== $leaf->piece) {
                $arrangement->waiting[] = $leaf->piece;
            }
        }
    }

    /** Puts back what was not in the branch that is taken; null where that is nothing. */
    private function rest(CutStock $cut, Arrangement $arrangement): ?CutStock
    {
        $branch = $root = $cut->root->copy();
        while (null !== $branch->first && null !== $branch->second && 0 !== $this->dice->roll(3)) {
            $branch = 0 === $this->dice->roll(2) ? $branch->first : $branch->second;
        }
        $branch->clear();
        if ($root->mend()) {
            return null;
        }
        $waiting = $arrangement->waiting;
        foreach ($root->leaves() as $leaf) {
            if (null !== $leaf->piece) {
                unset($waiting[(int) array_search($leaf->piece, $waiting, true)]);
            }
        }
        $arrangement->waiting = array_values($waiting);

        return new CutStock($cut->stock, $root);
    }

    /**
     * Lays what waits where it fits.
     *
     * @param list<CutStock> $open stock in hand that may be changed
     */
    private function lay(Arrangement $arrangement, array $open, int $mostSheets): void
    {
        $hand = new Hand($arrangement, $this->pieces, $this->stocks, $this->narrowest);
        foreach ($open as $cut) {
            $hand->take($cut);
        }
        $how = new Filling($this->dice->roll(3), [null, null, true, false][$this->dice->roll(4)]);
        $left = [];
        foreach ($this->inOrder($arrangement->waiting) as $piece) {
            $this->work += self::WORK_OF_A_PIECE;
            $spot = $this->spot($hand, $piece, $how, $mostSheets);
            if (null === $spot) {
                $left[] = $piece;
                continue;
            }
            [$at, $width, $height, $isTurned] = $spot;
            $part = $hand->own($at);
            $corner = $this->carver->trim($part, $width, $height, $how->alongXFirst);
            \assert(null !== $corner);
            $corner->piece = $piece;
            $corner->isTurned = $isTurned;
            $hand->cut($at, $part);
        }
        $arrangement->waiting = $left;
        $hand->putDown();
    }

    /**
     * Where a piece goes: a scrap in hand, a whole scrap, a sheet in hand, a whole sheet.
     *
     * @return array{int, int, int, bool}|null the free part; width, height, turned
     */
    private function spot(Hand $hand, int $piece, Filling $how, int $mostSheets): ?array
    {
        $best = [\PHP_INT_MAX, \PHP_INT_MAX];
        $spots = [null, null];
        $fit = $how->fit;
        foreach ($this->ways[$piece] as [$width, $height, $isTurned]) {
            $this->work += \count($hand->free);
            foreach ($hand->free as $at => [$w, $h, $part, , $isScrap]) {
                if ($width > $w || $height > $h) {
                    continue;
                }
                if (Filling::FIT_AREA === $fit) {
                    $misfit = $w * $h;
                } else {
                    $across = $w - $width;
                    $down = $h - $height;
                    $misfit = (Filling::FIT_SHORT_SIDE === $fit) === ($across < $down) ? $across : $down;
                }
                $kind = $isScrap ? 0 : 1;
                if ($misfit < $best[$kind] && 0 !== $this->dice->roll(30) && $this->carver->canTrim($part, $width, $height)) {
                    $best[$kind] = $misfit;
                    $spots[$kind] = [$at, $width, $height, $isTurned];
                }
            }
        }

        return $spots[0]
            ?? $this->opening($hand, $piece, $this->scrapsFor[$piece], 8)
            ?? $spots[1]
            ?? ($hand->sheets() < $mostSheets ? $this->opening($hand, $piece, $this->sheetsFor[$piece], null) : null);
    }

    /**
     * Takes the first whole piece of stock that holds a piece.
     *
     * @param list<int> $stocks
     * @param int|null $passedOver one in so many is passed over; null for none
     *
     * @return array{int, int, int, bool}|null
     */
    private function opening(Hand $hand, int $piece, array $stocks, ?int $passedOver): ?array
    {
        foreach ($stocks as $index) {
            if (!$hand->hasWhole($index) || (null !== $passedOver && 0 === $this->dice->roll($passedOver))) {
                continue;
            }
            $whole = new SheetPart(0, 0, $this->stocks[$index]->width, $this->stocks[$index]->height);
            foreach ($this->ways[$piece] as [$width, $height, $isTurned]) {
                if ($this->carver->canTrim($whole, $width, $height)) {
                    return [$hand->open($index), $width, $height, $isTurned];
                }
            }
        }

        return null;
    }

    /**
     * @param list<int> $waiting
     *
     * @return list<int> the largest first, by one of several measures, some out of turn
     */
    private function inOrder(array $waiting): array
    {
        $measure = $this->dice->roll(4);
        $sizes = [];
        foreach ($waiting as $at => $index) {
            $piece = $this->pieces[$index];
            $size = match ($measure) {
                0 => $piece->width * $piece->height,
                1 => max($piece->width, $piece->height),
                2 => min($piece->width, $piece->height),
                default => $piece->width * $piece->height,
            };
            $sizes[$at] = 3 === $measure || 0 === $this->dice->roll(8) ? (int) ($size * (50 + $this->dice->roll(100)) / 100) : $size;
        }
        arsort($sizes);

        return array_map(static fn (int $at): int => $waiting[$at], array_keys($sizes));
    }

    private function isSheet(CutStock $cut): bool
    {
        return $this->stocks[$cut->stock]->isSheet;
    }

    private function fits(int $piece, Stock $stock): bool
    {
        foreach ($this->ways[$piece] as [$width, $height]) {
            if ($width <= $stock->width && $height <= $stock->height) {
                return true;
            }
        }

        return false;
    }
}
