<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A straight piece of a line that is neither upright nor level, from a point by a step. */
final readonly class Slant
{
    public function __construct(private int $x, private int $y, private int $stepX, private int $stepY)
    {
    }

    /** @return iterable<Corner> its point with that x, if it has one */
    public function atX(int $x): iterable
    {
        $along = $x - $this->x;
        if (0 <= $along * ($this->stepX <=> 0) && abs($along) <= abs($this->stepX)) {
            yield self::corner($x * $this->stepX, $this->y * $this->stepX + $along * $this->stepY, $this->stepX);
        }
    }

    /** @return iterable<Corner> its point with that y, if it has one */
    public function atY(int $y): iterable
    {
        $along = $y - $this->y;
        if (0 <= $along * ($this->stepY <=> 0) && abs($along) <= abs($this->stepY)) {
            yield self::corner($this->x * $this->stepY + $along * $this->stepX, $y * $this->stepY, $this->stepY);
        }
    }

    /** @return iterable<Corner> the point that it has in common with another one, if there is a single one */
    public function crossing(self $other): iterable
    {
        $of = $this->stepX * $other->stepY - $this->stepY * $other->stepX;
        [$dx, $dy] = [$other->x - $this->x, $other->y - $this->y];
        $mine = ($dx * $other->stepY - $dy * $other->stepX) * ($of <=> 0);
        $others = ($dx * $this->stepY - $dy * $this->stepX) * ($of <=> 0);
        if (0 !== $of && min($mine, $others) >= 0 && max($mine, $others) <= abs($of)) {
            $along = $mine * ($of <=> 0);
            yield self::corner($this->x * $of + $along * $this->stepX, $this->y * $of + $along * $this->stepY, $of);
        }
    }

    private static function corner(int|float $x, int|float $y, int|float $of): Corner
    {
        return $of < 0 ? new Corner(-$x, -$y, -$of) : new Corner($x, $y, $of);
    }
}
