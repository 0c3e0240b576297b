<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * Solves small jobs exactly. Every set of pieces that can be cut guillotine-wise out of a rectangle can be built up by
 * putting two smaller such blocks side by side or one above the other; of each set only those blocks are kept that are
 * neither wider nor higher than another. On top of that, dynamic programming over what is still to be cut: first the
 * scraps, one by one, then the sheets.
 *
 * Exact for the first five goals of a plan where the trimmer has no limits; with limits it is a strong search.
 */
final class SmallJob
{
    private const MOST_STATES = 520;
    private const MOST_PAIRS = 14_000;
    private const MOST_STEPS = 900_000;
    private const MOST_JOINS = 900_000;
    private const MOST_ROOMY_PAIRS = 1_500;
    private const MOST_ROOMS = 600;

    /** @var list<list<int>> counts of each piece, by state */
    private array $counts = [];

    /** @var list<int> the counts of each state in one number, a field of bits for each piece with a guard bit on top */
    private array $packed = [];

    private int $guards = 0;

    private int $joins = 0;

    /** @var list<int> how much one more of a piece adds to a state's number */
    private array $radix = [];

    /** @var array<int, list<array{int, int, string, int, int, int, int}>> width, height, how, and of what */
    private array $blocks = [];

    /** @var array<string, array{int, list<array{bool, int, int, int}>}> what roomiest() found */
    private array $rooms = [];

    private readonly Carver $carver;

    /**
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    private function __construct(private readonly array $pieces, private readonly array $stocks, private readonly Trimmer $trimmer)
    {
        $this->carver = new Carver($trimmer);
    }

    /**
     * Returns the best plan, or null where the job is too large for this.
     *
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    public static function solve(array $pieces, array $stocks, Trimmer $trimmer): ?CutPlan
    {
        $states = $pairs = 1;
        foreach ($pieces as $piece) {
            $states *= $piece->quantity + 1;
            $pairs *= ($piece->quantity + 1) * ($piece->quantity + 2) / 2;
            if ($states > self::MOST_STATES || $pairs / 2 > self::MOST_PAIRS) {
                return null;
            }
        }
        $job = new self($pieces, $stocks, $trimmer);
        $job->number();
        if (!$job->build()) {
            return null;
        }

        return $job->assign($pairs / 2 <= self::MOST_ROOMY_PAIRS);
    }

    private function number(): void
    {
        $this->counts = [[]];
        foreach ($this->pieces as $piece) {
            $this->radix[] = \count($this->counts);
            $longer = [];
            for ($count = 0; $count <= $piece->quantity; ++$count) {
                foreach ($this->counts as $counts) {
                    $longer[] = [...$counts, $count];
                }
            }
            $this->counts = $longer;
        }
        $this->pack();
    }

    private function pack(): void
    {
        $shifts = [];
        $shift = 0;
        foreach ($this->pieces as $piece) {
            $shifts[] = $shift;
            $shift += \strlen(decbin($piece->quantity)) + 1;
            $this->guards |= 1 << ($shift - 1);
        }
        foreach ($this->counts as $counts) {
            $packed = 0;
            foreach ($counts as $index => $count) {
                $packed |= $count << $shifts[$index];
            }
            $this->packed[] = $packed;
        }
    }

    /** Builds the blocks of all states; false where that would take too long. */
    private function build(): bool
    {
        foreach ($this->pieces as $index => $piece) {
            foreach ($piece->ways() as [$width, $height, $isTurned]) {
                $this->add($this->radix[$index], [$width, $height, 'p', $index, $isTurned ? 1 : 0, 0, 0]);
            }
        }
        $order = array_keys($this->counts);
        usort($order, fn (int $a, int $b): int => array_sum($this->counts[$a]) <=> array_sum($this->counts[$b]));
        foreach ($order as $state) {
            if (array_sum($this->counts[$state]) < 2) {
                continue;
            }
            foreach ($this->partsOf($state) as $part) {
                if (2 * $part <= $state) {
                    $this->join($state, $part, $state - $part);
                }
            }
            if ($this->joins > self::MOST_JOINS) {
                return false;
            }
        }

        return true;
    }

    /** @return list<int> the states that are part of a state, itself and nothing left out */
    private function partsOf(int $state): array
    {
        $parts = [0];
        foreach ($this->counts[$state] as $index => $count) {
            $longer = [];
            for ($i = 0; $i <= $count; ++$i) {
                foreach ($parts as $part) {
                    $longer[] = $part + $i * $this->radix[$index];
                }
            }
            $parts = $longer;
        }

        return array_values(array_filter($parts, static fn (int $part): bool => 0 !== $part && $part !== $state));
    }

    private function join(int $state, int $one, int $other): void
    {
        foreach ($this->blocks[$one] ?? [] as $a => [$w1, $h1]) {
            $this->joins += \count($this->blocks[$other] ?? []);
            foreach ($this->blocks[$other] ?? [] as $b => [$w2, $h2]) {
                $height = $this->common($h1, $h2);
                if ($this->trimmer->allows($height, $w1, $w2) && $this->canEven($w1, $height, $h1) && $this->canEven($w2, $height, $h2)) {
                    $this->add($state, [$w1 + $w2, $height, 'x', $one, $a, $other, $b]);
                }
                $width = $this->common($w1, $w2);
                if ($this->trimmer->allows($width, $h1, $h2) && $this->canEven($h1, $width, $w1) && $this->canEven($h2, $width, $w2)) {
                    $this->add($state, [$width, $h1 + $h2, 'y', $one, $a, $other, $b]);
                }
            }
        }
    }

    /** The least size that both blocks can be trimmed from without too narrow a strip. */
    private function common(int $one, int $other): int
    {
        $difference = abs($one - $other);

        return max($one, $other) + (0 < $difference && $difference < $this->trimmer->smallestStrip ? $this->trimmer->smallestStrip : 0);
    }

    private function canEven(int $length, int $from, int $to): bool
    {
        return $from === $to || $this->trimmer->allows($length, $to, $from - $to);
    }

    /** @param array{int, int, string, int, int, int, int} $block */
    private function add(int $state, array $block): void
    {
        if (!$this->fitsSomewhere($block[0], $block[1])) {
            return;
        }
        $kept = [];
        foreach ($this->blocks[$state] ?? [] as $other) {
            if ($other[0] <= $block[0] && $other[1] <= $block[1]) {
                return;
            }
            if ($other[0] < $block[0] || $other[1] < $block[1]) {
                $kept[] = $other;
            }
        }
        $kept[] = $block;
        $this->blocks[$state] = $kept;
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

    /**
     * Returns the states that fit a piece of stock, with its best way to be cut.
     *
     * @return array<int, Part> by state
     */
    private function fillings(Stock $stock, bool $isRoomy): array
    {
        $fillings = [];
        foreach ($this->blocks as $state => $blocks) {
            $best = null;
            foreach ($blocks as $at => [$width, $height]) {
                if ($width > $stock->width || $height > $stock->height || (null !== $best && !$stock->isSheet)) {
                    continue;
                }
                foreach ([true, false] as $alongXFirst) {
                    $root = new Part(0, 0, $stock->width, $stock->height);
                    if (!$this->carve($root, $state, $at, $alongXFirst)) {
                        continue;
                    }
                    $value = [$root->largestOffcut(), -$root->cuts()];
                    if (null === $best || $value > $best[0]) {
                        $best = [$value, $root];
                    }
                }
            }
            if (null !== $best) {
                $fillings[$state] = $isRoomy && $stock->isSheet ? $this->roomier($stock, $state, $best[1]) : $best[1];
            }
        }

        return $fillings;
    }

    /** Returns the filling with the largest offcut that any guillotine cuts leave, where it is larger. */
    private function roomier(Stock $stock, int $state, Part $root): Part
    {
        [$room, $steps] = $this->roomiest($state, $stock->width, $stock->height);
        if ($room <= $root->largestOffcut()) {
            return $root;
        }
        $roomy = $part = new Part(0, 0, $stock->width, $stock->height);
        foreach ($steps as [$alongX, $one, $at]) {
            $first = $this->carver->once($part, $alongX, $this->blocks[$one][$at][$alongX ? 0 : 1]);
            if (null === $first || null === $part->second || !$this->carve($first, $one, $at, $alongX)) {
                return $root;
            }
            $part = $part->second;
        }

        return $roomy->largestOffcut() > $root->largestOffcut() ? $roomy : $root;
    }

    /**
     * Returns the largest offcut that a rectangle can leave beside a set of pieces. The rectangle's first cut has the offcut
     * on one side; what is on the other side may then lie as tightly as it can. Once many rectangles were looked at, only what
     * lies beside the whole set is.
     *
     * @return array{int, list<array{bool, int, int, int}>} its area, or -1 where the set does not fit; and the cuts: along x,
     *                                                      the tight set, its block, the set left
     */
    private function roomiest(int $state, int $width, int $height): array
    {
        if (0 === $state) {
            return [$width * $height, []];
        }
        $key = $state.'/'.$width.'/'.$height;
        if (isset($this->rooms[$key])) {
            return $this->rooms[$key];
        }
        $best = [-1, []];
        $isFar = \count($this->rooms) >= self::MOST_ROOMS;
        foreach ($isFar ? [$state] : [...$this->partsOf($state), $state] as $one) {
            foreach ($this->blocks[$one] ?? [] as $at => [$w, $h]) {
                if ($w > $width || $h > $height) {
                    continue;
                }
                foreach ([true, false] as $alongX) {
                    [$across, $rest, $length] = $alongX ? [$w, $width - $w, $height] : [$h, $height - $h, $width];
                    if (0 === $rest || !$this->trimmer->allows($length, $across, $rest) || !$this->canEven($across, $length, $alongX ? $h : $w)) {
                        continue;
                    }
                    [$room, $steps] = $alongX ? $this->roomiest($state - $one, $rest, $height) : $this->roomiest($state - $one, $width, $rest);
                    if ($room > $best[0]) {
                        $best = [$room, [[$alongX, $one, $at, $state - $one], ...$steps]];
                    }
                }
            }
        }

        return $this->rooms[$key] = $best;
    }

    private function carve(Part $part, int $state, int $at, bool $alongXFirst): bool
    {
        [$width, $height, $how, $one, $a, $other, $b] = $this->blocks[$state][$at];
        $corner = $this->carver->trim($part, $width, $height, $alongXFirst);
        if (null === $corner) {
            return false;
        }
        if ('p' === $how) {
            $corner->piece = $one;
            $corner->isTurned = 1 === $a;

            return true;
        }
        $first = $this->carver->once($corner, 'x' === $how, 'x' === $how ? $this->blocks[$one][$a][0] : $this->blocks[$one][$a][1]);

        return null !== $first && null !== $corner->second && $this->carve($first, $one, $a, $alongXFirst) && $this->carve($corner->second, $other, $b, $alongXFirst);
    }

    private function assign(bool $isRoomy): ?CutPlan
    {
        $total = array_sum($this->counts[\count($this->counts) - 1]);
        $fillings = array_map(fn (Stock $stock): array => $this->fillings($stock, $isRoomy), $this->stocks);
        $steps = 0;
        foreach ($this->stocks as $index => $stock) {
            $steps += min($stock->quantity, $total) * \count($fillings[$index]) * \count($this->counts) / 4;
        }
        if ($steps > self::MOST_STEPS) {
            return null;
        }
        $fromScraps = $this->scraps($fillings, $total);
        $onSheets = $this->sheets($fillings, $total);

        return $this->best($fromScraps, $onSheets, $fillings);
    }

    /**
     * Returns, by what is still to be cut, the least scrap area that has to be opened, and how.
     *
     * @param list<array<int, Part>> $fillings by stock
     *
     * @return array<int, array{int, list<array{int, int}>}>
     */
    private function scraps(array $fillings, int $total): array
    {
        $reached = [\count($this->counts) - 1 => [0, []]];
        foreach ($this->stocks as $index => $stock) {
            for ($copy = 0, $most = $stock->isSheet ? 0 : min($stock->quantity, $total); $copy < $most; ++$copy) {
                $next = $reached;
                $helped = false;
                foreach ($reached as $state => [$opened, $how]) {
                    foreach ($fillings[$index] as $filled => $_) {
                        if (!$this->holds($state, $filled)) {
                            continue;
                        }
                        $left = $state - $filled;
                        $area = $opened + $stock->area();
                        if (!isset($next[$left]) || $area < $next[$left][0]) {
                            $next[$left] = [$area, [...$how, [$index, $filled]]];
                            $helped = true;
                        }
                    }
                }
                $reached = $next;
                if (!$helped) {
                    break;
                }
            }
        }

        return $reached;
    }

    /**
     * Returns, by what is cut from sheets, the fewest sheets, the largest offcut of them, and how.
     *
     * @param list<array<int, Part>> $fillings by stock
     *
     * @return array<int, array{int, int, int, list<array{int, int}>}> sheets, minus the offcut, cuts
     */
    private function sheets(array $fillings, int $total): array
    {
        $full = \count($this->counts) - 1;
        $reached = [0 => [0, 0, 0, []]];
        foreach ($this->stocks as $index => $stock) {
            $values = array_map(static fn (Part $root): array => [$root->largestOffcut(), $root->cuts()], $fillings[$index]);
            for ($copy = 0, $most = $stock->isSheet ? min($stock->quantity, $total) : 0; $copy < $most; ++$copy) {
                $next = $reached;
                $helped = false;
                foreach ($reached as $state => [$sheets, $offcut, $cuts, $how]) {
                    foreach ($values as $filled => [$left, $more]) {
                        if (!$this->holds($full - $state, $filled)) {
                            continue;
                        }
                        $value = [$sheets + 1, min($offcut, -$left), $cuts + $more];
                        $before = $next[$state + $filled] ?? null;
                        if (null === $before || $value < [$before[0], $before[1], $before[2]]) {
                            $next[$state + $filled] = [...$value, [...$how, [$index, $filled]]];
                            $helped = true;
                        }
                    }
                }
                $reached = $next;
                if (!$helped) {
                    break;
                }
            }
        }

        return $reached;
    }

    /** Whether a state holds a part, counted piece by piece in one subtraction: no field may borrow from its guard bit. */
    private function holds(int $state, int $part): bool
    {
        return $part <= $state && ((($this->packed[$state] | $this->guards) - $this->packed[$part]) & $this->guards) === $this->guards;
    }

    /**
     * @param array<int, array{int, list<array{int, int}>}> $fromScraps
     * @param array<int, array{int, int, int, list<array{int, int}>}> $onSheets
     * @param list<array<int, Part>> $fillings
     */
    private function best(array $fromScraps, array $onSheets, array $fillings): CutPlan
    {
        $best = $chosen = null;
        foreach ($fromScraps as $rest => [$opened, $scrapCuts]) {
            $candidates = isset($onSheets[$rest]) ? [$rest => $onSheets[$rest]] : $onSheets;
            foreach ($candidates as $cut => [$sheets, $offcut, $cuts, $sheetCuts]) {
                if (!$this->holds($rest, $cut)) {
                    continue;
                }
                $value = [array_sum($this->counts[$rest]) - array_sum($this->counts[$cut]), $sheets, $this->area($rest), $opened, $offcut, $cuts];
                if (null === $best || $value < $best) {
                    $best = $value;
                    $chosen = [$rest - $cut, [...$scrapCuts, ...$sheetCuts]];
                }
            }
        }
        \assert(null !== $chosen);
        $unplaced = array_filter($this->counts[$chosen[0]]);
        $used = array_map(static fn (array $step): CutStock => new CutStock($step[0], $fillings[$step[0]][$step[1]]->copy()), $chosen[1]);

        return new CutPlan($this->pieces, $this->stocks, $used, $unplaced);
    }

    private function area(int $state): int
    {
        $area = 0;
        foreach ($this->counts[$state] as $index => $count) {
            $area += $count * $this->pieces[$index]->area();
        }

        return $area;
    }
}
