<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * How many sheets any plan for one paper must start at the least. Whatever value the pieces are given, scraps and sheets
 * together must yield all of it, and none yields more than the pattern table says; so each way of giving value is a bound.
 */
final class SheetBound
{
    /**
     * Returns the bound.
     *
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    public function of(array $pieces, array $stocks): int
    {
        $best = 0;
        foreach ($this->valuings($pieces) as $values) {
            $table = PatternTable::for($pieces, $values, self::longest($stocks, true), self::longest($stocks, false));
            if (null !== $table) {
                $best = max($best, $this->needed($pieces, $stocks, $values, static fn (Stock $stock): int => $table->valueOf($stock->width, $stock->height)));
            }
        }
        $areas = array_map(static fn (Piece $piece): int => $piece->area(), $pieces);

        return max($best, $this->needed($pieces, $stocks, $areas, fn (Stock $stock): int => $this->fitsAny($stock, $pieces) ? $stock->area() : 0));
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return iterable<array<int, int>>
     */
    private function valuings(array $pieces): iterable
    {
        yield array_map(static fn (Piece $piece): int => $piece->area(), $pieces);
        yield array_map(static fn (Piece $piece): int => 1, $pieces);
        if (\count($pieces) > 1 && \count($pieces) <= 12) {
            foreach (array_keys($pieces) as $index) {
                yield [$index => 1];
            }
        }
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     * @param array<int, int> $values
     * @param callable(Stock): int $yield
     */
    private function needed(array $pieces, array $stocks, array $values, callable $yield): int
    {
        $wanted = 0;
        foreach ($pieces as $index => $piece) {
            $wanted += $piece->quantity * ($values[$index] ?? 0);
        }
        $sheets = [];
        foreach ($stocks as $stock) {
            if ($stock->isSheet) {
                $sheets[] = [$yield($stock), $stock->quantity];
            } else {
                $wanted -= $stock->quantity * $yield($stock);
            }
        }
        rsort($sheets);
        $needed = 0;
        foreach ($sheets as [$each, $quantity]) {
            if ($wanted <= 0 || $each <= 0) {
                break;
            }
            $taken = min($quantity, intdiv($wanted + $each - 1, $each));
            $needed += $taken;
            $wanted -= $taken * $each;
        }

        return $needed;
    }

    /** @param list<Piece> $pieces */
    private function fitsAny(Stock $stock, array $pieces): bool
    {
        foreach ($pieces as $piece) {
            foreach ($piece->ways() as [$width, $height]) {
                if ($width <= $stock->width && $height <= $stock->height) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param list<Stock> $stocks */
    private static function longest(array $stocks, bool $isWidth): int
    {
        return array_reduce($stocks, static fn (int $most, Stock $stock): int => max($most, $isWidth ? $stock->width : $stock->height), 0);
    }
}
