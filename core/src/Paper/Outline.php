<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/** The outline of a scrap that is no rectangle, with its holes. Lengths as in Piece. */
final readonly class Outline
{
    private const MOST_CORNERS = 100;

    /** @param non-empty-list<non-empty-list<array{int, int}>> $rings the outer one and the holes, each a list of corners */
    private function __construct(private array $rings)
    {
    }

    /**
     * @param list<array{int, int}> $outer
     * @param list<list<array{int, int}>> $holes
     *
     * @throws InvalidOutline if a ring has fewer than three corners, or all together too many, or if a ring crosses or touches itself
     *                        or another one, or a hole lies outside
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

        $outline = new self($rings);
        $outline->checkSimple();

        return $outline;
    }

    /** Returns twice the area within, its holes left out: a whole number. */
    public function doubledArea(): int
    {
        $areas = array_map(self::doubledAreaOf(...), $this->rings);

        return $areas[0] - array_sum(\array_slice($areas, 1));
    }

    /** @return array{int, int, int, int} left, top, width and height of the box around it */
    public function box(): array
    {
        [$xs, $ys] = [array_column($this->rings[0], 0), array_column($this->rings[0], 1)];

        return [min($xs), min($ys), max($xs) - min($xs), max($ys) - min($ys)];
    }

    /** @return non-empty-list<non-empty-list<array{int, int}>> the outer ring and the holes, each a list of corners */
    public function rings(): array
    {
        return $this->rings;
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

    /** @return list<array{int, int, int, int}> from corner to corner */
    public function edges(): array
    {
        $edges = [];
        foreach ($this->rings as $ring) {
            foreach ($ring as $at => [$x, $y]) {
                [$nextX, $nextY] = $ring[($at + 1) % \count($ring)];
                $edges[] = [$x, $y, $nextX, $nextY];
            }
        }

        return $edges;
    }

    private function checkSimple(): void
    {
        $at = 0;
        $named = [];
        foreach ($this->rings as $ring) {
            $count = \count($ring);
            for ($nth = 0; $nth < $count; ++$nth) {
                $named[$at + $nth] = $at + ($nth + 1) % $count;
            }
            $at += $count;
        }
        $edges = $this->edges();
        foreach ($edges as $one => $edge) {
            if ($edge[0] === $edge[2] && $edge[1] === $edge[3]) {
                throw InvalidOutline::crossesItself();
            }
            for ($other = $one + 1, $many = \count($edges); $other < $many; ++$other) {
                $follows = $named[$one] === $other || $named[$other] === $one;
                if ($follows ? self::turnsBack($edge, $edges[$other]) : self::meet($edge, $edges[$other])) {
                    throw InvalidOutline::crossesItself();
                }
            }
        }
        $outer = new self([$this->rings[0]]);
        foreach (\array_slice($this->rings, 1) as $hole) {
            if (!$outer->isInside($hole[0][0], $hole[0][1])) {
                throw InvalidOutline::crossesItself();
            }
        }
    }

    /**
     * Whether of two edges that follow each other one lies on the other again.
     *
     * @param array{int, int, int, int} $one
     * @param array{int, int, int, int} $other
     */
    private static function turnsBack(array $one, array $other): bool
    {
        [$x, $y] = [$one[2] - $one[0], $one[3] - $one[1]];
        [$nextX, $nextY] = [$other[2] - $other[0], $other[3] - $other[1]];

        return 0 === Exact::compare($x, $nextY, $y, $nextX) && $x * ($nextX <=> 0) + $y * ($nextY <=> 0) < 0;
    }

    /**
     * @param array{int, int, int, int} $one
     * @param array{int, int, int, int} $other
     */
    private static function meet(array $one, array $other): bool
    {
        $sides = [
            self::side($one, $other[0], $other[1]),
            self::side($one, $other[2], $other[3]),
            self::side($other, $one[0], $one[1]),
            self::side($other, $one[2], $one[3]),
        ];
        $boxesMeet = max($one[0], $one[2]) >= min($other[0], $other[2])
            && max($other[0], $other[2]) >= min($one[0], $one[2])
            && max($one[1], $one[3]) >= min($other[1], $other[3])
            && max($other[1], $other[3]) >= min($one[1], $one[3]);

        return $boxesMeet && $sides[0] * $sides[1] <= 0 && $sides[2] * $sides[3] <= 0;
    }

    /** @param array{int, int, int, int} $edge */
    private static function side(array $edge, int $x, int $y): int
    {
        return Exact::compare($edge[2] - $edge[0], $y - $edge[1], $edge[3] - $edge[1], $x - $edge[0]);
    }

    /** @param non-empty-list<array{int, int}> $ring */
    private static function doubledAreaOf(array $ring): int
    {
        $sum = 0;
        [$originX, $originY] = $ring[0];
        foreach ($ring as $at => [$x, $y]) {
            [$nextX, $nextY] = $ring[($at + 1) % \count($ring)];
            $sum += ($x - $originX) * ($nextY - $originY) - ($nextX - $originX) * ($y - $originY);
        }

        return abs($sum);
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
}
