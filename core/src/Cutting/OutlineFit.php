<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Paper\Exact;
use Lottel\Core\Paper\Outline;

/**
 * Tells whether a rectangle with sides along the axes can lie wholly within an outline, slanting edges and holes included. Where it
 * can lie at all it can be pushed left, and then up, until it touches: its corner then is a corner of what no edge forbids, which is
 * where two of those lines cross along which the rectangle touches an edge. All such crossings are tried, in whole numbers and
 * fractions of them (`Exact`), on no grid. Each edge forbids the inside of a hexagon: itself, drawn out by the rectangle (Minkowski
 * sum; de Berg et al., Computational Geometry, chapter 13; from memory).
 */
final readonly class OutlineFit
{
    /** @var list<array{int, int, int, int}> */
    private array $edges;

    /** @var array{int, int, int, int} */
    private array $box;

    public function __construct(Outline $outline, private int $width, private int $height)
    {
        $this->edges = $outline->edges();
        $this->box = $outline->box();
    }

    /** Returns where its left upper corner can lie, as x, y and what both are to be divided by; null where it does not fit. */
    public function corner(): ?Corner
    {
        foreach ($this->candidates() as $corner) {
            if ($this->isInBox($corner) && $this->isFree($corner)) {
                return $corner;
            }
        }

        return null;
    }

    /** @return iterable<Corner> corners at which it touches twice, the simple ones first */
    private function candidates(): iterable
    {
        [$xs, $ys] = [[], []];
        foreach ($this->edges as [$x, $y]) {
            array_push($xs, $x, $x - $this->width);
            array_push($ys, $y, $y - $this->height);
        }
        [$xs, $ys] = [array_values(array_unique($xs)), array_values(array_unique($ys))];
        foreach ($xs as $x) {
            foreach ($ys as $y) {
                yield new Corner($x, $y, 1);
            }
        }
        $slants = $this->slants();
        foreach ($slants as $nth => $slant) {
            foreach ($xs as $x) {
                yield from $slant->atX($x);
            }
            foreach ($ys as $y) {
                yield from $slant->atY($y);
            }
            foreach (\array_slice($slants, $nth + 1) as $other) {
                yield from $slant->crossing($other);
            }
        }
    }

    /** @return list<Slant> the lines along which one of the rectangle's corners slides on a slanting edge */
    private function slants(): array
    {
        $slants = [];
        foreach ($this->edges as [$x1, $y1, $x2, $y2]) {
            foreach ($x1 === $x2 || $y1 === $y2 ? [] : [[0, 0], [$this->width, 0], [0, $this->height], [$this->width, $this->height]] as [$dx, $dy]) {
                $slants[] = new Slant($x1 - $dx, $y1 - $dy, $x2 - $x1, $y2 - $y1);
            }
        }

        return $slants;
    }

    private function isInBox(Corner $corner): bool
    {
        [$left, $top, $width, $height] = $this->box;

        return $corner->x >= $left * $corner->of
            && $corner->y >= $top * $corner->of
            && $corner->x <= ($left + $width - $this->width) * $corner->of
            && $corner->y <= ($top + $height - $this->height) * $corner->of;
    }

    private function isFree(Corner $corner): bool
    {
        foreach ($this->edges as $edge) {
            if ($this->passesThrough($corner, ...$edge)) {
                return false;
            }
        }

        return $this->isInside($corner);
    }

    /** Whether an edge passes through the inside of the rectangle: it does unless one of three lines keeps them apart. */
    private function passesThrough(Corner $at, int $x1, int $y1, int $x2, int $y2): bool
    {
        [$left, $right] = [$at->x, $at->x + $this->width * $at->of];
        [$top, $bottom] = [$at->y, $at->y + $this->height * $at->of];
        if (max($x1, $x2) * $at->of <= $left || min($x1, $x2) * $at->of >= $right || max($y1, $y2) * $at->of <= $top || min($y1, $y2) * $at->of >= $bottom) {
            return false;
        }
        $sides = [];
        foreach ([[$left, $top], [$right, $top], [$left, $bottom], [$right, $bottom]] as [$x, $y]) {
            $sides[] = Exact::compare($y - $y1 * $at->of, $x2 - $x1, $x - $x1 * $at->of, $y2 - $y1);
        }

        return min($sides) < 0 && max($sides) > 0;
    }

    /** Whether the middle of the rectangle lies within: a line to its right crosses an odd number of edges. */
    private function isInside(Corner $at): bool
    {
        $of = 2 * $at->of;
        [$x, $y] = [2 * $at->x + $this->width * $at->of, 2 * $at->y + $this->height * $at->of];
        $isInside = false;
        foreach ($this->edges as [$x1, $y1, $x2, $y2]) {
            if (($y1 * $of > $y) === ($y2 * $of > $y)) {
                continue;
            }
            $side = Exact::compare($x - $x1 * $of, $y2 - $y1, $y - $y1 * $of, $x2 - $x1);
            if (($y2 > $y1 ? $side : -$side) < 0) {
                $isInside = !$isInside;
            }
        }

        return $isInside;
    }
}
