<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** The outline of a scrap that is no rectangle, with its holes. Lengths as in Piece. */
final readonly class Outline
{
    private const MOST_CORNERS = 40;
    private const EXTRA_LINES = 8;

    /** @param list<list<array{int, int}>> $rings the outer one and the holes, each a list of corners */
    private function __construct(private array $rings)
    {
    }

    /**
     * @param list<array{int, int}> $outer
     * @param list<list<array{int, int}>> $holes
     *
     * @throws InvalidOutline if a ring has fewer than three corners, or all together too many
     */
    public static function of(array $outer, array $holes = []): self
    {
        $rings = [$outer, ...$holes];
        foreach ($rings as $ring) {
            if (\count($ring) < 3) {
                throw InvalidOutline::tooFewCorners();
            }
        }
        if (array_sum(array_map(\count(...), $rings)) > self::MOST_CORNERS) {
            throw InvalidOutline::tooManyCorners(self::MOST_CORNERS);
        }

        return new self($rings);
    }

    /**
     * Returns the largest rectangles with sides along the axes that lie within, the largest first, none inside another. For
     * outlines of right angles these are the true largest; for slanting ones they are the largest on a grid laid through the
     * corners and between them, and always lie wholly within.
     *
     * @return list<array{int, int, int, int}> left, top, width, height
     */
    public function largestRectangles(int $most): array
    {
        $isSquare = $this->isRectilinear();
        [$xs, $ys] = [$this->lines(0, $isSquare), $this->lines(1, $isSquare)];
        $found = [];
        for ($left = 0, $nx = \count($xs); $left < $nx; ++$left) {
            for ($right = $left + 1; $right < $nx; ++$right) {
                array_push($found, ...$this->columns($xs[$left], $xs[$right], $ys));
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[2] * $b[3] <=> $a[2] * $a[3] ?: $a <=> $b);
        $kept = [];
        foreach ($found as $rectangle) {
            if (\count($kept) < $most && [] === array_filter($kept, static fn (array $other): bool => self::isWithin($rectangle, $other))) {
                $kept[] = $rectangle;
            }
        }

        return $kept;
    }

    /** Whether a rectangle lies within: its middle does, and no edge passes through its inside. */
    public function holds(int $left, int $top, int $width, int $height): bool
    {
        if (!$this->isInside($left + $width / 2, $top + $height / 2)) {
            return false;
        }
        foreach ($this->edges() as [$x1, $y1, $x2, $y2]) {
            if ($this->passesThrough($x1, $y1, $x2, $y2, $left, $top, $left + $width, $top + $height)) {
                return false;
            }
        }

        return true;
    }

    /**
     * The tallest rectangles between two verticals.
     *
     * @param list<int> $ys
     *
     * @return list<array{int, int, int, int}>
     */
    private function columns(int $left, int $right, array $ys): array
    {
        $found = [];
        $top = 0;
        $count = \count($ys);
        while ($top < $count - 1) {
            $bottom = $top;
            while ($bottom + 1 < $count && $this->holds($left, $ys[$top], $right - $left, $ys[$bottom + 1] - $ys[$top])) {
                ++$bottom;
            }
            if ($bottom > $top) {
                $found[] = [$left, $ys[$top], $right - $left, $ys[$bottom] - $ys[$top]];
            }
            $top = max($top + 1, $bottom > $top + 1 ? $bottom - 1 : $top + 1);
        }

        return $found;
    }

    /** @return list<int> */
    private function lines(int $axis, bool $isSquare): array
    {
        $lines = [];
        foreach ($this->rings as $ring) {
            foreach ($ring as $corner) {
                $lines[] = $corner[$axis];
            }
        }
        if (!$isSquare && [] !== $lines) {
            [$least, $most] = [min($lines), max($lines)];
            for ($i = 1; $i < self::EXTRA_LINES; ++$i) {
                $lines[] = $least + intdiv(($most - $least) * $i, self::EXTRA_LINES);
            }
        }
        $lines = array_values(array_unique($lines));
        sort($lines);

        return $lines;
    }

    private function isRectilinear(): bool
    {
        foreach ($this->edges() as [$x1, $y1, $x2, $y2]) {
            if ($x1 !== $x2 && $y1 !== $y2) {
                return false;
            }
        }

        return true;
    }

    /** @return iterable<array{int, int, int, int}> */
    private function edges(): iterable
    {
        foreach ($this->rings as $ring) {
            foreach ($ring as $at => [$x, $y]) {
                [$nextX, $nextY] = $ring[($at + 1) % \count($ring)];
                yield [$x, $y, $nextX, $nextY];
            }
        }
    }

    private function isInside(float $x, float $y): bool
    {
        $isInside = false;
        foreach ($this->edges() as [$x1, $y1, $x2, $y2]) {
            if (($y1 > $y) !== ($y2 > $y) && $x < ($x2 - $x1) * ($y - $y1) / ($y2 - $y1) + $x1) {
                $isInside = !$isInside;
            }
        }

        return $isInside;
    }

    private function passesThrough(int $x1, int $y1, int $x2, int $y2, int $left, int $top, int $right, int $bottom): bool
    {
        [$enter, $leave] = [0.0, 1.0];
        foreach ([[$x1, $x2 - $x1, $left, $right], [$y1, $y2 - $y1, $top, $bottom]] as [$start, $step, $low, $high]) {
            if (0 === $step) {
                if ($start <= $low || $start >= $high) {
                    return false;
                }
                continue;
            }
            $one = ($low - $start) / $step;
            $other = ($high - $start) / $step;
            $enter = max($enter, min($one, $other));
            $leave = min($leave, max($one, $other));
        }

        return $leave - $enter > 1e-12;
    }

    /**
     * @param array{int, int, int, int} $inner
     * @param array{int, int, int, int} $outer
     */
    private static function isWithin(array $inner, array $outer): bool
    {
        return $inner[0] >= $outer[0]
            && $inner[1] >= $outer[1]
            && $inner[0] + $inner[2] <= $outer[0] + $outer[2]
            && $inner[1] + $inner[3] <= $outer[1] + $outer[3];
    }
}
