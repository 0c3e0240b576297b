<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * How many sheets any plan for one paper must start at the least, from values of pieces that are made better step by step. All pieces
 * together must be worth no more than what scraps and sheets can yield at the most; the values that say most are looked for by
 * following the pieces of which the best patterns give too few (a subgradient of the dual of Gilmore and Gomory’s linear program,
 * 1961; from memory). Sides are rounded to a grid, pieces down and stock up, so that each value is a bound.
 */
final class ValueBound
{
    private const MOST_STEPS = 40;

    /** So many lines of the grid lie along the longest side at the most. */
    private const MOST_LINES = 96;

    /** Values are whole parts of this. */
    private const WHOLE = 100_000;
    private const FIRST_STEP = 0.25;
    private const SLOWER = 0.35;

    /** @var list<Piece> */
    private array $pieces;

    /** @var list<Stock> */
    private array $stocks;

    private int $width = 0;
    private int $height = 0;

    /**
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    public function __construct(array $pieces, array $stocks)
    {
        $grid = self::grid($pieces, $stocks);
        $up = static fn (int $side): int => intdiv($side + $grid - 1, $grid);
        $this->pieces = array_map(static fn (Piece $piece): Piece => new Piece(
            $piece->id,
            max(1, intdiv($piece->width, $grid)),
            max(1, intdiv($piece->height, $grid)),
            $piece->quantity,
            $piece->mayTurn,
            '',
        ), $pieces);
        $this->stocks = array_map(
            static fn (Stock $stock): Stock => new Stock($stock->id, $up($stock->width), $up($stock->height), $stock->quantity, '', $stock->isSheet),
            $stocks,
        );
        foreach ($this->stocks as $stock) {
            $this->width = max($this->width, $stock->width);
            $this->height = max($this->height, $stock->height);
        }
    }

    /**
     * Returns the bound.
     *
     * @param int $enough no more than this is asked for
     * @param int $budget what may be computed, in values compared
     */
    public function of(int $enough, int $budget): int
    {
        $values = array_map(static fn (Piece $piece): float => (float) $piece->area(), $this->pieces);
        $best = 0;
        for ($step = $work = 0; $step < self::MOST_STEPS && $best < $enough && $work < $budget; ++$step) {
            $whole = self::whole($values);
            $table = PatternTable::for($this->pieces, $whole, $this->width, $this->height);
            if (null === $table) {
                break;
            }
            $work += $table->work;
            $best = max($best, $this->needed($whole, $table));
            $values = $this->better($values, $whole, $table, self::FIRST_STEP / (1 + $step * self::SLOWER));
        }

        return $best;
    }

    /** @param array<int, int> $values */
    private function needed(array $values, PatternTable $table): int
    {
        $wanted = $this->wanted($values);
        $sheets = [];
        foreach ($this->stocks as $stock) {
            $yield = $table->valueOf($stock->width, $stock->height);
            if ($stock->isSheet) {
                $sheets[] = [$yield, $stock->quantity];
            } else {
                $wanted -= $stock->quantity * $yield;
            }
        }

        return SheetCount::for($wanted, $sheets);
    }

    /**
     * Gives more value to the pieces of which the most valuable patterns hold too few, and less to the others.
     *
     * @param array<int, float> $values
     * @param array<int, int> $whole the same in whole parts
     *
     * @return array<int, float>
     */
    private function better(array $values, array $whole, PatternTable $table, float $step): array
    {
        $lacking = array_map(static fn (Piece $piece): float => (float) $piece->quantity, $this->pieces);
        $wanted = $this->wanted($whole);
        $best = [0, []];
        foreach ($this->stocks as $stock) {
            $yield = $table->valueOf($stock->width, $stock->height);
            $holds = self::pattern($table, $stock);
            if ($stock->isSheet) {
                $best = $yield > $best[0] ? [$yield, $holds] : $best;
                continue;
            }
            $wanted -= $stock->quantity * $yield;
            foreach ($holds as $piece => $many) {
                $lacking[$piece] -= $stock->quantity * $many;
            }
        }
        foreach ($best[1] as $piece => $many) {
            $lacking[$piece] -= $many * max(0, $wanted) / max(1, $best[0]);
        }
        $length = sqrt(array_sum(array_map(static fn (float $one): float => $one ** 2, $lacking)));
        $scale = 0.0 === $length ? 0.0 : $step * sqrt(array_sum(array_map(static fn (float $one): float => $one ** 2, $values)) / \count($values)) / $length;

        return array_map(static fn (float $value, float $one): float => max(0.0, $value + $scale * $one), $values, $lacking);
    }

    /** @return array<int, int> how many of each piece are in the most valuable pattern */
    private static function pattern(PatternTable $table, Stock $stock): array
    {
        $root = new SheetPart(0, 0, $stock->width, $stock->height);
        $table->carve($root, new Carver(new Trimmer()));

        return $root->pieces();
    }

    /** @param array<int, int> $values */
    private function wanted(array $values): int
    {
        return array_sum(array_map(static fn (Piece $piece, int $value): int => $piece->quantity * $value, $this->pieces, $values));
    }

    /**
     * @param array<int, float> $values
     *
     * @return array<int, int>
     */
    private static function whole(array $values): array
    {
        $most = max(1e-9, ...array_values($values));

        return array_map(static fn (float $value): int => (int) round($value / $most * self::WHOLE), $values);
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     */
    private static function grid(array $pieces, array $stocks): int
    {
        $common = $longest = 0;
        foreach ([...$pieces, ...$stocks] as $sized) {
            foreach ([$sized->width, $sized->height] as $side) {
                for ($rest = $side; 0 !== $rest;) {
                    [$common, $rest] = [$rest, $common % $rest];
                }
                $longest = max($longest, $side);
            }
        }

        return max(1, $common) * max(1, (int) ceil($longest / max(1, $common) / self::MOST_LINES));
    }
}
