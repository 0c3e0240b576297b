<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * The most value that guillotine cuts of any depth can get out of a rectangle with as many of each piece as one likes
 * (Gilmore and Gomory, 1966; Beasley, 1985), on the grid of sums of piece sides. What a limited number of pieces can yield
 * is never more, so it bounds; where its pattern needs no more pieces than there are, it is also a best filling.
 */
final class PatternTable
{
    public const MOST_WORK = 2_000_000;

    /** How much was computed, in values compared. */
    public int $work = 0;

    /** @var list<int> */
    private array $xs = [];

    /** @var list<int> */
    private array $ys = [];

    /** @var array<int, array<int, int>> */
    private array $value = [];

    /** @var array<int, array<int, array{string, int}>> what was done: `p` and the way, `x` or `y` and where */
    private array $choice = [];

    /** @var list<array{int, int, int, bool}> piece, width, height, whether turned */
    private array $ways = [];

    /**
     * Returns the table for the largest stock, or null where it would take too long.
     *
     * @param list<Piece> $pieces
     * @param array<int, int> $values by piece; pieces without a value are left out
     * @param int $mostWork what would take longer, in values compared, is not made
     */
    public static function for(array $pieces, array $values, int $width, int $height, int $mostWork = self::MOST_WORK): ?self
    {
        $table = new self();
        foreach ($pieces as $index => $piece) {
            if (($values[$index] ?? 0) < 1) {
                continue;
            }
            foreach ($piece->ways() as [$w, $h, $isTurned]) {
                if ($w <= $width && $h <= $height) {
                    $table->ways[] = [$index, $w, $h, $isTurned];
                }
            }
        }
        $table->xs = self::sums(array_column($table->ways, 1), $width);
        $table->ys = self::sums(array_column($table->ways, 2), $height);
        [$nx, $ny] = [\count($table->xs), \count($table->ys)];
        $table->work = (int) ($nx * $ny * ($nx + $ny) / 2 + $nx * $ny * \count($table->ways));
        if ($table->work > $mostWork) {
            return null;
        }
        $table->compute($values);

        return $table;
    }

    /** Returns the most value of a rectangle. */
    public function valueOf(int $width, int $height): int
    {
        $x = self::floor($this->xs, $width);
        $y = self::floor($this->ys, $height);

        return $x < 0 || $y < 0 ? 0 : $this->value[$x][$y];
    }

    /** Cuts a part as the table's pattern says; false where the trimmer cannot. */
    public function carve(SheetPart $part, Carver $carver): bool
    {
        $x = self::floor($this->xs, $part->width);
        $y = self::floor($this->ys, $part->height);
        if ($x < 0 || $y < 0 || 0 === $this->value[$x][$y]) {
            return true;
        }
        [$kind, $which] = $this->choice[$x][$y];
        if ('p' === $kind) {
            [$index, $width, $height, $isTurned] = $this->ways[$which];
            $corner = $carver->trim($part, $width, $height);
            if (null === $corner) {
                return false;
            }
            $corner->piece = $index;
            $corner->isTurned = $isTurned;

            return true;
        }
        $first = $carver->once($part, 'x' === $kind, $which);

        return null !== $first && null !== $part->second && $this->carve($first, $carver) && $this->carve($part->second, $carver);
    }

    /** @param array<int, int> $values */
    private function compute(array $values): void
    {
        foreach ($this->xs as $i => $x) {
            foreach ($this->ys as $j => $y) {
                [$best, $choice] = $this->onePiece($values, $x, $y);
                for ($a = 0; $a < $i && 2 * $this->xs[$a] <= $x; ++$a) {
                    $b = self::floor($this->xs, $x - $this->xs[$a]);
                    $sum = $this->value[$a][$j] + $this->value[$b][$j];
                    if ($sum > $best) {
                        [$best, $choice] = [$sum, ['x', $this->xs[$a]]];
                    }
                }
                for ($a = 0; $a < $j && 2 * $this->ys[$a] <= $y; ++$a) {
                    $b = self::floor($this->ys, $y - $this->ys[$a]);
                    $sum = $this->value[$i][$a] + $this->value[$i][$b];
                    if ($sum > $best) {
                        [$best, $choice] = [$sum, ['y', $this->ys[$a]]];
                    }
                }
                $this->value[$i][$j] = $best;
                $this->choice[$i][$j] = $choice;
            }
        }
    }

    /**
     * @param array<int, int> $values
     *
     * @return array{int, array{string, int}}
     */
    private function onePiece(array $values, int $x, int $y): array
    {
        $best = 0;
        $choice = ['', 0];
        foreach ($this->ways as $way => [$index, $width, $height]) {
            if ($width <= $x && $height <= $y && $values[$index] > $best) {
                [$best, $choice] = [$values[$index], ['p', $way]];
            }
        }

        return [$best, $choice];
    }

    /**
     * @param list<int> $sides
     *
     * @return list<int> all sums of sides up to a length, ascending
     */
    private static function sums(array $sides, int $most): array
    {
        $sums = [0 => true];
        foreach (array_unique($sides) as $side) {
            $open = array_keys($sums);
            while ([] !== $open) {
                $next = [];
                foreach ($open as $sum) {
                    if ($sum + $side <= $most && !isset($sums[$sum + $side])) {
                        $sums[$sum + $side] = true;
                        $next[] = $sum + $side;
                    }
                }
                $open = $next;
                if (\count($sums) > 3000) {
                    break 2;
                }
            }
        }
        unset($sums[0]);
        $list = array_keys($sums);
        sort($list);

        return $list;
    }

    /** @param list<int> $sorted */
    private static function floor(array $sorted, int $value): int
    {
        $low = -1;
        $high = \count($sorted);
        while ($high - $low > 1) {
            $middle = ($low + $high) >> 1;
            if ($sorted[$middle] <= $value) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
