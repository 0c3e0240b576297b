<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * The rectangles out of which each set of pieces can be cut: of each set those that are neither wider nor higher than
 * another, from narrow to wide. Every such block but a single piece is two smaller ones side by side or one above the
 * other, evened out.
 *
 * All of them where the trimmer has no limits; with limits those that were found by joining the blocks of smaller sets.
 */
final class Blocks
{
    /** @var array<int, list<array{int, int}>> width and height, by set */
    public array $of = [];

    /** How much was done, in blocks looked at. */
    private int $work = 0;

    private readonly Carver $carver;

    private readonly bool $hasLimits;

    /** @var array<string, array{bool, int, array{int, int}, array{int, int}}|null> */
    private array $joins = [];

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks what the blocks are for; a block that fits none is left out
     */
    private function __construct(
        private readonly array $pieces,
        private readonly array $stocks,
        public readonly PieceSets $sets,
        private readonly Trimmer $trimmer,
    ) {
        $this->carver = new Carver($trimmer);
        $this->hasLimits = null !== $trimmer->longestCut || $trimmer->smallestStrip > 0;
    }

    /**
     * Returns the blocks of all sets, or null where that would take too long.
     *
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     * @param int $mostWork what would take longer, in blocks looked at, is given up
     */
    public static function build(array $pieces, array $stocks, PieceSets $sets, Trimmer $trimmer, int $mostWork): ?self
    {
        $blocks = new self($pieces, $stocks, $sets, $trimmer);
        $largest = array_reduce($stocks, static fn (int $most, Stock $stock): int => max($most, $stock->area()), 0);
        $order = $sets->sizes;
        asort($order);
        foreach ($order as $set => $size) {
            if (0 === $size || $sets->areas[$set] > $largest) {
                continue;
            }
            $found = 1 === $size ? $blocks->single($set) : $blocks->joined($set);
            if ([] !== $found) {
                $blocks->of[$set] = $found;
            }
            if ($blocks->work > $mostWork) {
                return null;
            }
        }

        return $blocks;
    }

    /** Whether a set can be cut from a piece of stock; with a trimmer's limits, whether it is known how. */
    public function fit(int $set, Stock $stock): bool
    {
        foreach ($this->of[$set] ?? [] as [$width, $height]) {
            if ($width <= $stock->width && $height <= $stock->height && (!$this->hasLimits || $this->isCarved($set, $width, $height, $stock))) {
                return true;
            }
        }

        return false;
    }

    /**
     * Returns the narrowest block of a set that is no higher; null where none is.
     *
     * @return array{int, int}|null
     */
    public function narrowest(int $set, int $height): ?array
    {
        foreach ($this->of[$set] ?? [] as $block) {
            if ($block[1] <= $height) {
                return $block;
            }
        }

        return null;
    }

    /**
     * Returns the lowest block of a set that is no wider; null where none is.
     *
     * @return array{int, int}|null
     */
    public function lowest(int $set, int $width): ?array
    {
        $lowest = null;
        foreach ($this->of[$set] ?? [] as $block) {
            if ($block[0] > $width) {
                break;
            }
            $lowest = $block;
        }

        return $lowest;
    }

    /** Cuts a block of a set out of a part's left upper corner; false where the trimmer cannot, and the part is then spoilt. */
    public function carve(SheetPart $part, int $set, int $width, int $height, ?bool $alongXFirst = null): bool
    {
        $corner = $this->carver->trim($part, $width, $height, $alongXFirst);
        if (null === $corner) {
            return false;
        }
        if (1 === $this->sets->sizes[$set]) {
            return $this->lay($corner, $set, $width, $height);
        }
        $join = $this->join($set, $width, $height);
        if (null === $join) {
            return false;
        }
        [$alongX, $one, [$w1, $h1], [$w2, $h2]] = $join;
        $first = $this->carver->once($corner, $alongX, $alongX ? $w1 : $h1);

        return null !== $first && null !== $corner->second
            && $this->carve($first, $one, $w1, $h1, $alongXFirst) && $this->carve($corner->second, $set - $one, $w2, $h2, $alongXFirst);
    }

    private function lay(SheetPart $corner, int $set, int $width, int $height): bool
    {
        $index = (int) array_search(1, $this->sets->counts[$set], true);
        foreach ($this->pieces[$index]->ways() as [$w, $h, $isTurned]) {
            if ($w === $width && $h === $height) {
                $corner->piece = $index;
                $corner->isTurned = $isTurned;

                return true;
            }
        }

        return false;
    }

    private function isCarved(int $set, int $width, int $height, Stock $stock): bool
    {
        foreach ([true, false] as $alongXFirst) {
            if ($this->carve(new SheetPart(0, 0, $stock->width, $stock->height), $set, $width, $height, $alongXFirst)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array{int, int}> */
    private function single(int $set): array
    {
        $index = (int) array_search(1, $this->sets->counts[$set], true);
        $best = [];
        foreach ($this->pieces[$index]->ways() as [$width, $height]) {
            $best[$width] = $height;
        }

        return $this->steps($best);
    }

    /** @return list<array{int, int}> */
    private function joined(int $set): array
    {
        $best = [];
        foreach ($this->sets->partsOf($set) as $part) {
            $rest = $set - $part;
            if ($part > $rest || !isset($this->of[$part], $this->of[$rest])) {
                continue;
            }
            if ($this->hasLimits) {
                $this->joinEach($best, $this->of[$part], $this->of[$rest]);
            } else {
                $this->joinSteps($best, $this->of[$part], $this->of[$rest]);
            }
        }

        return $this->steps($best);
    }

    /**
     * Joins two sets' blocks. Side by side, only the narrowest two under each height matter, one above the other only the
     * lowest two within each width: one walk down both lists meets them all.
     *
     * @param array<int, int> $best the least height found by width
     * @param list<array{int, int}> $ones
     * @param list<array{int, int}> $others
     */
    private function joinSteps(array &$best, array $ones, array $others): void
    {
        [$lastOne, $lastOther] = [\count($ones) - 1, \count($others) - 1];
        $this->work += $lastOne + $lastOther + 2;
        $a = $b = 0;
        [$w1, $h1] = $ones[0];
        [$w2, $h2] = $others[0];
        while (true) {
            $width = $w1 + $w2;
            $height = $h1 > $h2 ? $h1 : $h2;
            if (!isset($best[$width]) || $height < $best[$width]) {
                $best[$width] = $height;
            }
            if ($h1 >= $h2 && $a < $lastOne) {
                [$w1, $h1] = $ones[++$a];
            } elseif ($h2 >= $h1 && $b < $lastOther) {
                [$w2, $h2] = $others[++$b];
            } else {
                break;
            }
        }
        $a = $lastOne;
        $b = $lastOther;
        [$w1, $h1] = $ones[$a];
        [$w2, $h2] = $others[$b];
        while (true) {
            $width = $w1 > $w2 ? $w1 : $w2;
            $height = $h1 + $h2;
            if (!isset($best[$width]) || $height < $best[$width]) {
                $best[$width] = $height;
            }
            if ($w1 >= $w2 && $a > 0) {
                [$w1, $h1] = $ones[--$a];
            } elseif ($w2 >= $w1 && $b > 0) {
                [$w2, $h2] = $others[--$b];
            } else {
                break;
            }
        }
    }

    /**
     * @param array<int, int> $best
     * @param list<array{int, int}> $ones
     * @param list<array{int, int}> $others
     */
    private function joinEach(array &$best, array $ones, array $others): void
    {
        foreach ($ones as $one) {
            foreach ($others as $other) {
                ++$this->work;
                foreach ([true, false] as $alongX) {
                    $joined = $this->evened($one, $other, $alongX);
                    if (null !== $joined && $joined[1] < ($best[$joined[0]] ?? \PHP_INT_MAX)) {
                        $best[$joined[0]] = $joined[1];
                    }
                }
            }
        }
    }

    /**
     * Returns the least rectangle from which two blocks can be cut with one cut between them; null where the trimmer cannot.
     *
     * @param array{int, int} $one
     * @param array{int, int} $other
     *
     * @return array{int, int}|null
     */
    private function evened(array $one, array $other, bool $alongX): ?array
    {
        [$w1, $h1] = $alongX ? $one : [$one[1], $one[0]];
        [$w2, $h2] = $alongX ? $other : [$other[1], $other[0]];
        $difference = abs($h1 - $h2);
        $height = max($h1, $h2) + (0 < $difference && $difference < $this->trimmer->smallestStrip ? $this->trimmer->smallestStrip : 0);
        if (!$this->trimmer->allows($height, $w1, $w2) || !$this->canEven($w1, $height, $h1) || !$this->canEven($w2, $height, $h2)) {
            return null;
        }

        return $alongX ? [$w1 + $w2, $height] : [$height, $w1 + $w2];
    }

    private function canEven(int $length, int $from, int $to): bool
    {
        return $from === $to || $this->trimmer->allows($length, $to, $from - $to);
    }

    /**
     * Returns how a block is joined: whether side by side, one of the two sets, its block, and the other's.
     *
     * @return array{bool, int, array{int, int}, array{int, int}}|null
     */
    private function join(int $set, int $width, int $height): ?array
    {
        $key = $set.'/'.$width.'/'.$height;
        if (!\array_key_exists($key, $this->joins)) {
            $this->joins[$key] = $this->hasLimits ? $this->joinWithin($set, $width, $height) : $this->joinFreely($set, $width, $height);
        }

        return $this->joins[$key];
    }

    /** @return array{bool, int, array{int, int}, array{int, int}}|null */
    private function joinFreely(int $set, int $width, int $height): ?array
    {
        foreach ($this->sets->partsOf($set) as $part) {
            if (2 * $part > $set) {
                continue;
            }
            $one = $this->narrowest($part, $height);
            $other = null === $one || $one[0] >= $width ? null : $this->narrowest($set - $part, $height);
            if (null !== $one && null !== $other && $one[0] + $other[0] <= $width) {
                return [true, $part, $one, $other];
            }
            $one = $this->lowest($part, $width);
            $other = null === $one || $one[1] >= $height ? null : $this->lowest($set - $part, $width);
            if (null !== $one && null !== $other && $one[1] + $other[1] <= $height) {
                return [false, $part, $one, $other];
            }
        }

        return null;
    }

    /** @return array{bool, int, array{int, int}, array{int, int}}|null */
    private function joinWithin(int $set, int $width, int $height): ?array
    {
        foreach ($this->sets->partsOf($set) as $part) {
            foreach ($this->of[$part] ?? [] as $one) {
                foreach ($this->of[$set - $part] ?? [] as $other) {
                    foreach ([true, false] as $alongX) {
                        if (
                            ($alongX ? $one[0] + $other[0] === $width : $one[1] + $other[1] === $height)
                            && $this->evened($one, $other, $alongX) === [$width, $height]
                        ) {
                            return [$alongX, $part, $one, $other];
                        }
                    }
                }
            }
        }

        return null;
    }

    /**
     * Keeps those that fit a piece of stock and are neither wider nor higher than another.
     *
     * @param array<int, int> $best
     *
     * @return list<array{int, int}>
     */
    private function steps(array $best): array
    {
        ksort($best);
        $steps = [];
        $lowest = \PHP_INT_MAX;
        foreach ($best as $width => $height) {
            if ($height < $lowest && $this->fitsSomewhere($width, $height)) {
                $steps[] = [$width, $height];
                $lowest = $height;
            }
        }

        return $steps;
    }

    private function fitsSomewhere(int $width, int $height): bool
    {
        foreach ($this->stocks as $stock) {
            if ($width <= $stock->width && $height <= $stock->height) {
                return true;
            }
        }

        return false;
    }
}
