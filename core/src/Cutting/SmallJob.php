<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * Solves small jobs exactly: of every set of pieces it is known out of which rectangles it can be cut; on top of that,
 * dynamic programming over what is still to be cut, first the scraps, one by one, then the sheets.
 *
 * Exact for the first four goals of a plan where the trimmer has no limits, for the fifth where no more than two sheets are
 * needed and $isExact says so; with limits it is a strong search.
 */
final class SmallJob
{
    private const MOST_SETS = 4_100;
    private const MOST_SETS_WITH_LIMITS = 300;

    /** Above so many sets only plans with two sheets at the most are looked for. */
    private const MANY_SETS = 520;
    private const MOST_PAIRS = 270_000;
    private const MOST_STEPS = 500_000;
    private const BLOCKS_TRIED = 6;

    private readonly PieceSets $sets;

    private readonly RoomyCut $roomy;

    /** @var array<int, list<int>> by stock: the sets that it holds */
    private array $held = [];

    /** @var array<int, list<int>> by set: the sheets that hold it */
    private array $holders = [];

    /**
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     */
    private function __construct(private readonly array $pieces, private readonly array $stocks, private readonly Blocks $blocks, Trimmer $trimmer)
    {
        $this->sets = $blocks->sets;
        $this->roomy = new RoomyCut($blocks, $trimmer);
    }

    /**
     * Whether a job has so many different sets of pieces at the most.
     *
     * @param list<Piece> $pieces
     */
    public static function isSmall(array $pieces, int $most): bool
    {
        $sets = 1;
        foreach ($pieces as $piece) {
            $sets *= $piece->quantity + 1;
            if ($sets > $most) {
                return false;
            }
        }

        return true;
    }

    /**
     * Returns the best plan, or null where the job is too large for this.
     *
     * @param list<Piece> $pieces of one paper
     * @param list<Stock> $stocks of the same paper
     * @param int $mostWork what would take longer, in blocks looked at, is given up
     */
    public static function solve(array $pieces, array $stocks, Trimmer $trimmer, int $mostWork = 2_600_000): ?CutPlan
    {
        $hasLimits = null !== $trimmer->longestCut || $trimmer->smallestStrip > 0;
        if ([] === $stocks || !self::isSmall($pieces, $hasLimits ? self::MOST_SETS_WITH_LIMITS : self::MOST_SETS)) {
            return null;
        }
        $sets = new PieceSets($pieces);
        if ($sets->pairs(max(array_map(static fn (Stock $stock): int => $stock->area(), $stocks))) > self::MOST_PAIRS) {
            return null;
        }
        $blocks = Blocks::build($pieces, $stocks, $sets, $trimmer, $mostWork);
        if (null === $blocks) {
            return null;
        }
        $job = new self($pieces, $stocks, $blocks, $trimmer);

        return $job->hold() ? $job->plan() : null;
    }

    /** Finds what each piece of stock holds; false where that is too much to go through. */
    private function hold(): bool
    {
        $steps = 0;
        foreach ($this->stocks as $index => $stock) {
            $this->held[$index] = [];
            foreach ($this->blocks->of as $set => $_) {
                if ($this->sets->areas[$set] <= $stock->area() && $this->blocks->fit($set, $stock)) {
                    $this->held[$index][] = $set;
                    if ($stock->isSheet) {
                        $this->holders[$set][] = $index;
                    }
                }
            }
        }
        foreach ($this->scraps() as [$index, $copies]) {
            $steps += $copies * \count($this->held[$index]) * \count($this->sets->counts) / 4;
        }

        return $steps <= self::MOST_STEPS;
    }

    private function plan(): ?CutPlan
    {
        $fromScraps = $this->fromScraps();
        $chosen = $this->withTwoSheets($fromScraps);
        if (null === $chosen && \count($this->sets->counts) <= self::MANY_SETS) {
            $chosen = $this->withMoreSheets($fromScraps);
        }
        if (null === $chosen) {
            return null;
        }
        [$left, $steps] = $chosen;
        $used = [];
        foreach ($steps as [$index, $set]) {
            $used[] = new CutStock($index, $this->cut($index, $set));
        }

        return new CutPlan($this->pieces, $this->stocks, $used, array_filter($this->sets->counts[$left], static fn (int $count): bool => 0 !== $count));
    }

    /**
     * The scraps that hold anything, the smallest first, without those in whose place as many smaller ones as there are
     * pieces hold the same.
     *
     * @return list<array{int, int}> stock and how many of it
     */
    private function scraps(): array
    {
        $total = $this->sets->sizes[$this->sets->all()];
        $indexes = array_filter(array_keys($this->stocks), fn (int $index): bool => !$this->stocks[$index]->isSheet && [] !== $this->held[$index]);
        usort($indexes, fn (int $a, int $b): int => $this->stocks[$a]->area() <=> $this->stocks[$b]->area() ?: $a <=> $b);
        $scraps = $seen = [];
        foreach ($indexes as $index) {
            $alike = implode(' ', $this->held[$index]);
            $copies = min($this->stocks[$index]->quantity, $total - ($seen[$alike] ?? 0));
            if ($copies > 0) {
                $scraps[] = [$index, $copies];
                $seen[$alike] = ($seen[$alike] ?? 0) + $copies;
            }
        }

        return $scraps;
    }

    /**
     * Returns, by what is still to be cut, the least scrap area that has to be opened, and how.
     *
     * @return array<int, array{int, list<array{int, int}>}>
     */
    private function fromScraps(): array
    {
        $reached = [$this->sets->all() => [0, []]];
        foreach ($this->scraps() as [$index, $copies]) {
            $area = $this->stocks[$index]->area();
            for ($copy = 0, $isBetter = true; $copy < $copies && $isBetter; ++$copy) {
                $next = $reached;
                $isBetter = false;
                foreach ($reached as $set => [$opened, $how]) {
                    foreach ($this->held[$index] as $held) {
                        if ((!isset($next[$set - $held]) || $opened + $area < $next[$set - $held][0]) && $this->sets->holds($set, $held)) {
                            $next[$set - $held] = [$opened + $area, [...$how, [$index, $held]]];
                            $isBetter = true;
                        }
                    }
                }
                $reached = $next;
            }
        }

        return $reached;
    }

    /**
     * Returns the best way to cut everything with two sheets at the most, or null where there is none.
     *
     * @param array<int, array{int, list<array{int, int}>}> $fromScraps
     *
     * @return array{int, list<array{int, int}>}|null what is left over, and what is cut from which stock
     */
    private function withTwoSheets(array $fromScraps): ?array
    {
        $best = null;
        $ways = [];
        foreach ($fromScraps as $rest => [$opened, $how]) {
            $onSheets = $this->onTwoSheets($rest);
            if (null === $onSheets) {
                continue;
            }
            $value = [\count($onSheets[0]), $this->sets->areas[$rest], $opened];
            if (null === $best || $value < $best) {
                $best = $value;
                $ways = [];
            }
            if ($value === $best) {
                foreach ($onSheets as $steps) {
                    $ways[] = [$how, $steps];
                }
            }
        }
        if ([] === $ways) {
            return null;
        }
        [$how, $steps] = $this->roomiest($ways);

        return [0, [...$how, ...$steps]];
    }

    /**
     * Returns the ways to cut a set from the fewest sheets, if two are enough.
     *
     * @return non-empty-list<list<array{int, int}>>|null
     */
    private function onTwoSheets(int $rest): ?array
    {
        if (0 === $rest) {
            return [[]];
        }
        $ways = array_map(static fn (int $index): array => [[$index, $rest]], $this->holders[$rest] ?? []);
        if ([] !== $ways) {
            return $ways;
        }
        foreach ($this->sets->partsOf($rest) as $part) {
            foreach (2 * $part <= $rest ? $this->holders[$part] ?? [] : [] as $one) {
                foreach ($this->holders[$rest - $part] ?? [] as $other) {
                    if ($one !== $other || $this->stocks[$one]->quantity > 1) {
                        $ways[] = [[$one, $part], [$other, $rest - $part]];
                    }
                }
            }
        }

        return [] === $ways ? null : $ways;
    }

    /**
     * Returns that of several ways which leaves the largest single offcut of a sheet. What a sheet has free bounds it, so that
     * the sheets with most room come first and few have to be looked at.
     *
     * @param non-empty-list<array{list<array{int, int}>, list<array{int, int}>}> $ways
     *
     * @return array{list<array{int, int}>, list<array{int, int}>}
     */
    private function roomiest(array $ways): array
    {
        $rooms = [];
        foreach ($ways as $way => [, $steps]) {
            foreach ($steps as [$index, $set]) {
                $rooms[] = [$this->stocks[$index]->area() - $this->sets->areas[$set], $way, $index, $set];
            }
        }
        usort($rooms, static fn (array $a, array $b): int => $b[0] <=> $a[0] ?: $a[1] <=> $b[1]);
        $best = [0, 0];
        foreach ($rooms as [$room, $way, $index, $set]) {
            if ($room <= $best[0]) {
                break;
            }
            $stock = $this->stocks[$index];
            $beside = max($best[0], $this->roomBeside($set, $stock));
            $largest = $this->roomy->cut($set, $stock->width, $stock->height, $beside)?->largestOffcut() ?? $beside;
            if ($largest > $best[0]) {
                $best = [$largest, $way];
            }
        }

        return $ways[$best[1]];
    }

    /**
     * @param array<int, array{int, list<array{int, int}>}> $fromScraps
     *
     * @return array{int, list<array{int, int}>} what is left over, and what is cut from which stock
     */
    private function withMoreSheets(array $fromScraps): array
    {
        $onSheets = $this->onSheets();
        $best = $chosen = null;
        foreach ($fromScraps as $rest => [$opened, $how]) {
            foreach (isset($onSheets[$rest]) ? [$rest => $onSheets[$rest]] : $onSheets as $cut => [$sheets, $offcut, $steps]) {
                if (!$this->sets->holds($rest, $cut)) {
                    continue;
                }
                $value = [$this->sets->sizes[$rest] - $this->sets->sizes[$cut], $sheets, $this->sets->areas[$rest], $opened, $offcut];
                if (null === $best || $value < $best) {
                    $best = $value;
                    $chosen = [$rest - $cut, [...$how, ...$steps]];
                }
            }
        }
        \assert(null !== $chosen);

        return $chosen;
    }

    /**
     * Returns, by what is cut from sheets, the fewest sheets, minus the room beside the tightest block, and how.
     *
     * @return array<int, array{int, int, list<array{int, int}>}>
     */
    private function onSheets(): array
    {
        $all = $this->sets->all();
        $reached = [0 => [0, 0, []]];
        foreach ($this->stocks as $index => $stock) {
            $rooms = [];
            foreach ($stock->isSheet ? $this->held[$index] : [] as $set) {
                $rooms[$set] = $this->roomBeside($set, $stock);
            }
            for ($copy = 0, $isBetter = true; $copy < $stock->quantity && $isBetter; ++$copy) {
                $next = $reached;
                $isBetter = false;
                foreach ($reached as $set => [$sheets, $offcut, $how]) {
                    foreach ($rooms as $held => $room) {
                        $value = [$sheets + 1, min($offcut, -$room)];
                        $before = $next[$set + $held] ?? null;
                        if ((null === $before || $value < [$before[0], $before[1]]) && $this->sets->holds($all - $set, $held)) {
                            $next[$set + $held] = [...$value, [...$how, [$index, $held]]];
                            $isBetter = true;
                        }
                    }
                }
                $reached = $next;
            }
        }

        return $reached;
    }

    private function roomBeside(int $set, Stock $stock): int
    {
        $room = 0;
        foreach ($this->blocks->of[$set] as $block) {
            $room = max($room, self::roomBesideBlock($block, $stock));
        }

        return $room;
    }

    /** @param array{int, int} $block */
    private static function roomBesideBlock(array $block, Stock $stock): int
    {
        [$width, $height] = $block;

        return $width > $stock->width || $height > $stock->height
            ? 0
            : max(($stock->width - $width) * $stock->height, ($stock->height - $height) * $stock->width);
    }

    /** Cuts a set from a piece of stock, a sheet so that the largest offcut is left, and with few cuts. */
    private function cut(int $index, int $set): SheetPart
    {
        $stock = $this->stocks[$index];
        $blocks = array_filter($this->blocks->of[$set], static fn (array $block): bool => $block[0] <= $stock->width && $block[1] <= $stock->height);
        usort($blocks, static fn (array $a, array $b): int => self::roomBesideBlock($b, $stock) <=> self::roomBesideBlock($a, $stock));
        $best = $value = null;
        foreach ($blocks as $at => [$width, $height]) {
            if ($at >= self::BLOCKS_TRIED && null !== $best) {
                break;
            }
            foreach ([true, false] as $alongXFirst) {
                $root = new SheetPart(0, 0, $stock->width, $stock->height);
                if (
                    $this->blocks->carve($root, $set, $width, $height, $alongXFirst)
                    && (null === $value || [$root->largestOffcut(), -$root->cuts()] > $value)
                ) {
                    $best = $root;
                    $value = [$root->largestOffcut(), -$root->cuts()];
                }
            }
        }
        \assert(null !== $best && null !== $value);

        return ($stock->isSheet ? $this->roomy->cut($set, $stock->width, $stock->height, $value[0]) : null) ?? $best;
    }
}
