<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Many greedy plans for one paper, with different orders of pieces and scraps and different ways to fill; the best is kept. */
final class GreedySearch
{
    private const MOST_RUNS = 4000;

    /** What a sheet costs that is cut like the one before it, in fits looked at. */
    private const WORK_OF_A_COPY = 40;

    private int $copies = 0;

    private readonly Dice $dice;

    private readonly GreedyFill $filler;

    private readonly Carver $carver;

    private readonly ?PatternTable $table;

    /** @var list<int> indexes of scraps on which something fits, the smallest first */
    private readonly array $scraps;

    /** @var list<int> indexes of sheets, the largest first */
    private readonly array $sheets;

    /**
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     * @param int $tableWork what a table of best patterns may take, in values compared
     */
    public function __construct(
        private readonly array $pieces,
        private readonly array $stocks,
        Trimmer $trimmer,
        int $tableWork = PatternTable::MOST_WORK,
    ) {
        $this->dice = new Dice();
        $this->filler = new GreedyFill($pieces, $trimmer);
        $this->carver = new Carver($trimmer);
        $this->scraps = $this->sorted(false);
        $this->sheets = array_reverse($this->sorted(true));
        $areas = array_map(static fn (Piece $piece): int => $piece->area(), $pieces);
        [$width, $height] = [0, 0];
        foreach ($stocks as $stock) {
            $width = max($width, $stock->width);
            $height = max($height, $stock->height);
        }
        $this->table = PatternTable::for($pieces, $areas, $width, $height, $tableWork);
    }

    /** @param int $budget how many fits may be looked at before the search stops; one plan is always made */
    public function search(int $budget): CutPlan
    {
        $orders = $this->orders();
        $fillings = Filling::all();
        $best = $this->run(0, $orders, $fillings);
        for ($run = 1; $this->filler->work + self::WORK_OF_A_COPY * $this->copies < $budget && $run < self::MOST_RUNS; ++$run) {
            $plan = $this->run($run, $orders, $fillings);
            if ($plan->score->isBetterThan($best->score)) {
                $best = $plan;
            }
        }

        return $best;
    }

    /**
     * @param list<list<int>> $orders
     * @param list<Filling> $fillings
     */
    private function run(int $run, array $orders, array $fillings): CutPlan
    {
        $order = $orders[$run % \count($orders)];
        $how = $fillings[intdiv($run, \count($orders)) % \count($fillings)];
        if ($run >= \count($orders) * \count($fillings)) {
            $order = $this->shuffled($order);
        }

        return $this->tighten($this->greedy($order, $how, $run), $order);
    }

    /** @param list<int> $order */
    private function greedy(array $order, Filling $how, int $run): CutPlan
    {
        $remaining = array_map(static fn (Piece $piece): int => $piece->quantity, $this->pieces);
        $used = [];
        $scraps = match ($run % 3) {
            0 => $this->scraps,
            1 => array_reverse($this->scraps),
            default => $this->shuffled($this->scraps),
        };
        foreach ([...$scraps, ...$this->sheets] as $index) {
            $stock = $this->stocks[$index];
            for ($copy = 0; $copy < $stock->quantity && array_sum($remaining) > 0;) {
                $root = $this->fill($stock, $order, $remaining, $how, $run);
                if (null === $root) {
                    break;
                }
                $times = $this->times($root, $remaining, $stock->quantity - $copy);
                $this->copies += $times - 1;
                for ($i = 0; $i < $times; ++$i) {
                    $used[] = new CutStock($index, 0 === $i ? $root : $root->copy());
                    foreach ($root->pieces() as $piece => $count) {
                        $remaining[$piece] -= $count;
                    }
                }
                $copy += $times;
            }
        }

        return new CutPlan($this->pieces, $this->stocks, $used, array_filter($remaining, static fn (int $count): bool => 0 !== $count));
    }

    /**
     * @param list<int> $order
     * @param array<int, int> $remaining
     */
    private function fill(Stock $stock, array $order, array $remaining, Filling $how, int $run): ?SheetPart
    {
        $root = $this->filler->fill($stock, $order, $remaining, $how);
        if (null === $root || (!$stock->isSheet && 0 === $run % 2)) {
            return $root;
        }
        if (null !== $this->table && 1 !== $run % 4) {
            $pattern = $this->pattern($stock, $remaining);
            if (null !== $pattern && $this->placedArea($pattern) > $this->placedArea($root)) {
                return $pattern;
            }
        }
        if (!$stock->isSheet) {
            foreach (Filling::all() as $other) {
                $tried = $this->filler->fill($stock, $order, $remaining, $other);
                if (null !== $tried && $this->placedArea($tried) > $this->placedArea($root)) {
                    $root = $tried;
                }
            }
        }

        return $root;
    }

    /**
     * Returns the table's pattern where it can be cut and needs no more pieces than are wanted.
     *
     * @param array<int, int> $remaining
     */
    private function pattern(Stock $stock, array $remaining): ?SheetPart
    {
        $root = new SheetPart(0, 0, $stock->width, $stock->height);
        if (null === $this->table || !$this->table->carve($root, $this->carver)) {
            return null;
        }
        $pieces = $root->pieces();
        foreach ($pieces as $piece => $count) {
            if ($count > $remaining[$piece]) {
                return null;
            }
        }

        return [] === $pieces ? null : $root;
    }

    private function placedArea(SheetPart $root): int
    {
        $area = 0;
        foreach ($root->pieces() as $piece => $count) {
            $area += $count * $this->pieces[$piece]->area();
        }

        return $area;
    }

    /**
     * How often the same filling can be cut again.
     *
     * @param array<int, int> $remaining
     */
    private function times(SheetPart $root, array $remaining, int $most): int
    {
        foreach ($root->pieces() as $piece => $count) {
            $most = min($most, intdiv($remaining[$piece], $count));
        }

        return max(1, $most);
    }

    /**
     * Cuts what lies on each opened scrap from a smaller one that is still whole, where it fits.
     *
     * @param list<int> $order
     */
    private function tighten(CutPlan $plan, array $order): CutPlan
    {
        $taken = [];
        foreach ($plan->used as $cut) {
            $taken[$cut->stock] = ($taken[$cut->stock] ?? 0) + 1;
        }
        $used = $plan->used;
        $changed = false;
        foreach ($used as $at => $cut) {
            if ($this->stocks[$cut->stock]->isSheet) {
                continue;
            }
            $content = $cut->root->pieces();
            $area = $this->placedArea($cut->root);
            foreach ($this->scraps as $index) {
                $scrap = $this->stocks[$index];
                if ($scrap->area() >= $this->stocks[$cut->stock]->area()) {
                    break;
                }
                if ($scrap->area() < $area || ($taken[$index] ?? 0) >= $scrap->quantity) {
                    continue;
                }
                $root = $this->filler->fill($scrap, $order, $content, new Filling(Filling::FIT_SHORT_SIDE, null));
                if (null !== $root && $this->placedArea($root) === $area) {
                    --$taken[$cut->stock];
                    $taken[$index] = ($taken[$index] ?? 0) + 1;
                    $used[$at] = new CutStock($index, $root);
                    $changed = true;
                    break;
                }
            }
        }

        return $changed ? new CutPlan($plan->pieces, $plan->stocks, $used, $plan->unplaced) : $plan;
    }

    /** @return list<list<int>> */
    private function orders(): array
    {
        $keys = [
            static fn (Piece $piece): array => [$piece->area(), max($piece->width, $piece->height)],
            static fn (Piece $piece): array => [max($piece->width, $piece->height), $piece->area()],
            static fn (Piece $piece): array => [min($piece->width, $piece->height), $piece->area()],
            static fn (Piece $piece): array => [$piece->height, $piece->width],
            static fn (Piece $piece): array => [$piece->width, $piece->height],
        ];
        $orders = [];
        foreach ($keys as $key) {
            $order = array_keys($this->pieces);
            usort($order, fn (int $a, int $b): int => $key($this->pieces[$b]) <=> $key($this->pieces[$a]) ?: $a <=> $b);
            $orders[] = $order;
        }

        return $orders;
    }

    /**
     * @param list<int> $order
     *
     * @return list<int> the order with a few neighbours changed about
     */
    private function shuffled(array $order): array
    {
        $count = \count($order);
        for ($i = 0; $i < min(6, $count - 1); ++$i) {
            $at = $this->dice->roll($count - 1);
            $to = min($count - 1, $at + 1 + $this->dice->roll(3));
            [$order[$at], $order[$to]] = [$order[$to], $order[$at]];
        }

        return array_values($order);
    }

    /** @return list<int> the stock of a kind on which something fits, the smallest first */
    private function sorted(bool $isSheet): array
    {
        $indexes = array_values(
            array_filter(
                array_keys($this->stocks),
                fn (int $index): bool => $this->stocks[$index]->isSheet === $isSheet && $this->fitsAny($this->stocks[$index]),
            ),
        );
        usort($indexes, fn (int $a, int $b): int => $this->stocks[$a]->area() <=> $this->stocks[$b]->area() ?: $a <=> $b);

        return $indexes;
    }

    private function fitsAny(Stock $stock): bool
    {
        foreach ($this->pieces as $piece) {
            foreach ($piece->ways() as [$width, $height]) {
                if ($width <= $stock->width && $height <= $stock->height) {
                    return true;
                }
            }
        }

        return false;
    }
}
