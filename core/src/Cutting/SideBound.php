<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * How many sheets any plan must start, from measures of the sides alone. A measure gives each length a value so that the
 * parts of a length never come to more than the whole; what cuts from edge to edge get out of a rectangle is then never
 * more than the measure of its width times that of its height, for any two measures.
 *
 * Dual feasible functions, of which these are superadditive: Fekete and Schepers, "New classes of fast lower bounds for bin
 * packing problems" (Mathematical Programming 91, 2001); from memory.
 */
final class SideBound
{
    /** How many values may be multiplied before no further measures are tried. */
    private const MOST_WORK = 400_000;

    private const MOST_MEASURES = 40;

    /**
     * Returns the bound.
     *
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    public function of(array $pieces, array $stocks): int
    {
        $width = array_reduce($stocks, static fn (int $most, Stock $stock): int => max($most, $stock->width), 1);
        $height = array_reduce($stocks, static fn (int $most, Stock $stock): int => max($most, $stock->height), 1);
        $sides = [];
        foreach ($pieces as $piece) {
            foreach ($piece->ways() as [$w, $h]) {
                $sides[0][$w] = $sides[1][$h] = true;
            }
        }
        $lengths = array_keys(
            ($sides[0] ?? []) +
                ($sides[1] ?? []) +
                array_fill_keys(array_map(static fn (Stock $stock): int => $stock->width, $stocks), true) +
                array_fill_keys(array_map(static fn (Stock $stock): int => $stock->height, $stocks), true),
        );
        $across = self::measures($width, array_keys($sides[0] ?? []), $lengths);
        $down = self::measures($height, array_keys($sides[1] ?? []), $lengths);
        $best = $work = 0;
        foreach (self::pairs(\count($across), \count($down)) as [$a, $b]) {
            $best = max($best, $this->needed($pieces, $stocks, $across[$a], $down[$b]));
            $work += \count($pieces) + \count($stocks);
            if ($work > self::MOST_WORK) {
                break;
            }
        }

        return $best;
    }

    /** @return iterable<array{int, int}> the pairs of two lists, those near the beginning of both first */
    private static function pairs(int $first, int $second): iterable
    {
        for ($sum = 0; $sum <= $first + $second - 2; ++$sum) {
            for ($a = max(0, $sum - $second + 1); $a <= min($sum, $first - 1); ++$a) {
                yield [$a, $sum - $a];
            }
        }
    }

    /**
     * Returns measures, each as values by length: the length itself; the same with all that is shorter than a side left out
     * and the longer rounded up; and how often a part of the whole goes in.
     *
     * @param list<int> $sides of pieces
     * @param list<int> $lengths that are asked for
     *
     * @return list<array<int, int>>
     */
    private static function measures(int $whole, array $sides, array $lengths): array
    {
        $measures = [[]];
        foreach ($lengths as $length) {
            $measures[0][$length] = $length;
        }
        for ($parts = 1; $parts <= 6; ++$parts) {
            $measures[] = self::byParts($whole, $parts, $lengths);
        }
        sort($sides);
        $halves = array_values(
            array_unique(
                array_filter(
                    array_map(static fn (int $side): int => 2 * $side > $whole ? $whole - $side + 1 : $side, $sides),
                    static fn (int $side): bool => $side > 0 && 2 * $side <= $whole,
                ),
            ),
        );
        rsort($halves);
        $step = max(1, intdiv(\count($halves), self::MOST_MEASURES));
        for ($at = 0; $at < \count($halves); $at += $step) {
            $measures[] = self::withoutShort($whole, $halves[$at], $lengths);
        }

        return $measures;
    }

    /**
     * @param list<int> $lengths
     *
     * @return array<int, int>
     */
    private static function byParts(int $whole, int $parts, array $lengths): array
    {
        $measure = [];
        foreach ($lengths as $length) {
            $times = ($parts + 1) * $length;
            $measure[$length] = 0 === $times % $whole ? $parts * $length : $whole * intdiv($times, $whole);
        }

        return $measure;
    }

    /**
     * @param list<int> $lengths
     *
     * @return array<int, int>
     */
    private static function withoutShort(int $whole, int $shortest, array $lengths): array
    {
        $measure = [];
        foreach ($lengths as $length) {
            $measure[$length] = $length < $shortest ? 0 : ($length > $whole - $shortest ? $whole : $length);
        }

        return $measure;
    }

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     * @param array<int, int> $across
     * @param array<int, int> $down
     */
    private function needed(array $pieces, array $stocks, array $across, array $down): int
    {
        $wanted = 0;
        foreach ($pieces as $piece) {
            $value = $across[$piece->width] * $down[$piece->height];
            if ($piece->mayTurn) {
                $value = min($value, $across[$piece->height] * $down[$piece->width]);
            }
            $wanted += $piece->quantity * $value;
        }
        $sheets = [];
        foreach ($stocks as $stock) {
            $yield = $across[$stock->width] * $down[$stock->height];
            if ($stock->isSheet) {
                $sheets[] = [$yield, $stock->quantity];
            } else {
                $wanted -= $stock->quantity * $yield;
            }
        }

        return SheetCount::for($wanted, $sheets);
    }
}
