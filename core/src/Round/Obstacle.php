<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** A rectangle that nobody walks through; its edge may be touched. In millimetres. */
final readonly class Obstacle
{
    /** How far, in millimetres, something may reach into the rectangle and still count as touching it. */
    private const TOUCH = 1e-6;

    public function __construct(public float $x, public float $y, public float $width, public float $height)
    {
    }

    /** Whether a point lies inside, not merely on the edge. */
    public function contains(Point $point): bool
    {
        return $point->x > $this->x + self::TOUCH && $point->x < $this->x + $this->width - self::TOUCH
            && $point->y > $this->y + self::TOUCH && $point->y < $this->y + $this->height - self::TOUCH;
    }

    /** Whether the straight line between two points passes through the inside (Liang and Barsky's clipping, 1984). */
    public function blocks(Point $from, Point $to): bool
    {
        [$left, $right] = [$this->x + self::TOUCH, $this->x + $this->width - self::TOUCH];
        if (($from->x <= $left && $to->x <= $left) || ($from->x >= $right && $to->x >= $right)) {
            return false;
        }
        [$top, $bottom] = [$this->y + self::TOUCH, $this->y + $this->height - self::TOUCH];
        if (($from->y <= $top && $to->y <= $top) || ($from->y >= $bottom && $to->y >= $bottom)) {
            return false;
        }
        [$enterX, $leaveX] = $this->within($from->x, $to->x - $from->x, $left, $right);
        [$enterY, $leaveY] = $this->within($from->y, $to->y - $from->y, $top, $bottom);

        return max(0.0, $enterX, $enterY) < min(1.0, $leaveX, $leaveY);
    }

    /** @return array{float, float} the part of the line that lies between low and high, as shares of its length */
    private function within(float $start, float $step, float $low, float $high): array
    {
        return match (true) {
            abs($step) < 1e-12 => [-\INF, \INF],
            $step > 0 => [($low - $start) / $step, ($high - $start) / $step],
            default => [($high - $start) / $step, ($low - $start) / $step],
        };
    }

    /** @return list<Point> */
    public function corners(): array
    {
        return [
            new Point($this->x, $this->y), new Point($this->x + $this->width, $this->y),
            new Point($this->x, $this->y + $this->height), new Point($this->x + $this->width, $this->y + $this->height),
        ];
    }
}
