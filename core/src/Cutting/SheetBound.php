<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * How many sheets any plan for one paper must start at the least. Whatever value the pieces are given, scraps and sheets
 * together must yield all of it, and none yields more than the pattern table says; so each way of giving value is a bound.
 */
final class SheetBound
{
    public const BUDGET = 1_500_000;

    private int $spent = 0;

    /** @param int $budget what may be spent on tables, in values compared */
    public function __construct(private readonly int $budget = self::BUDGET)
    {
    }

    /**
     * Returns the bound.
     *
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    public function of(array $pieces, array $stocks): int
    {
        $best = 0;
        $sheets = array_filter($stocks, static fn (Stock $stock): bool => $stock->isSheet);
        $scraps = array_filter($stocks, static fn (Stock $stock): bool => !$stock->isSheet);
        foreach ($this->valuings($pieces, $scraps) as $isArea => $values) {
            $ofSheets = $this->yields($pieces, $values, $sheets, 1 === $isArea);
            $ofScraps = $this->yields($pieces, $values, $scraps, 1 === $isArea);
            if (null !== $ofSheets && null !== $ofScraps) {
                $best = max(
                    $best,
                    $this->needed($pieces, $stocks, $values, static fn (Stock $stock): int => $stock->isSheet ? $ofSheets($stock) : $ofScraps($stock)),
                );
            }
        }

        return $best;
    }

    /**
     * Returns what a piece of stock yields at the most: by the pattern table, or where that is too large by its area, which is
     * only right where value is area.
     *
     * @param list<Piece> $pieces
     * @param array<int, int> $values
     * @param array<int, Stock> $stocks
     *
     * @return (callable(Stock): int)|null
     */
    private function yields(array $pieces, array $values, array $stocks, bool $isArea): ?callable
    {
        $table = PatternTable::for(
            $pieces,
            $values,
            self::longest($stocks, true),
            self::longest($stocks, false),
            min(PatternTable::MOST_WORK, $this->budget - $this->spent),
        );
        if (null !== $table) {
            $this->spent += $table->work;

            return static fn (Stock $stock): int => $table->valueOf($stock->width, $stock->height);
        }
        $valued = array_values(array_filter($pieces, static fn (int $index): bool => ($values[$index] ?? 0) > 0, \ARRAY_FILTER_USE_KEY));

        return $isArea ? fn (Stock $stock): int => $this->fitsAny($stock, $valued) ? $stock->area() : 0 : null;
    }

    /**
     * Ways to give value to pieces; the key is 1 where value is area, 0 where it is a number of pieces.
     *
     * @param list<Piece> $pieces
     * @param array<int, Stock> $scraps
     *
     * @return iterable<int, array<int, int>>
     */
    private function valuings(array $pieces, array $scraps): iterable
    {
        yield 1 => array_map(static fn (Piece $piece): int => $piece->area(), $pieces);
        yield 1 => array_map(fn (Piece $piece): int => $this->fitsAScrap($piece, $scraps) ? 0 : $piece->area(), $pieces);
        yield 0 => array_map(static fn (Piece $piece): int => 1, $pieces);
        yield 0 => array_map(fn (Piece $piece): int => $this->fitsAScrap($piece, $scraps) ? 0 : 1, $pieces);
        if (\count($pieces) > 1 && \count($pieces) <= 12) {
            foreach (array_keys($pieces) as $index) {
                yield 0 => [$index => 1];
            }
        }
    }

    /** @param array<int, Stock> $scraps */
    private function fitsAScrap(Piece $piece, array $scraps): bool
    {
        foreach ($scraps as $scrap) {
            if ($this->fitsAny($scrap, [$piece])) {
                return true;
            }
        }

        return false;
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

        return SheetCount::for($wanted, $sheets);
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

    /** @param array<int, Stock> $stocks */
    private static function longest(array $stocks, bool $isWidth): int
    {
        return array_reduce($stocks, static fn (int $most, Stock $stock): int => max($most, $isWidth ? $stock->width : $stock->height), 0);
    }
}
