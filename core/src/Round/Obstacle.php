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
        $enter = 0.0;
        $leave = 1.0;
        foreach ([[$from->x, $to->x, $this->x, $this->width], [$from->y, $to->y, $this->y, $this->height]] as [$start, $end, $low, $size]) {
            [$near, $far] = [$low + self::TOUCH, $low + $size - self::TOUCH];
            $step = $end - $start;
            if (abs($step) < 1e-12) {
                if ($start <= $near || $start >= $far) {
                    return false;
                }
                continue;
            }
            [$first, $second] = $step > 0 ? [($near - $start) / $step, ($far - $start) / $step] : [($far - $start) / $step, ($near - $start) / $step];
            $enter = max($enter, $first);
            $leave = min($leave, $second);
            if ($enter >= $leave) {
                return false;
            }
        }

        return true;
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
