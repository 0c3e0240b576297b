<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** A rectangle that lies somewhere: its left upper corner and its sides, in the unit of Sides. */
final readonly class Rect
{
    public function __construct(public int $x, public int $y, public int $width, public int $height)
    {
    }

    public static function at(int $x, int $y, Sides $sides): self
    {
        return new self($x, $y, $sides->width, $sides->height);
    }

    /** Returns where something lies in the middle of it, half a tick nearer to the left and upper edge where that cannot be. */
    public function middle(Sides $sides): self
    {
        return self::at($this->x + intdiv($this->width - $sides->width, 2), $this->y + intdiv($this->height - $sides->height, 2), $sides);
    }

    public function sides(): Sides
    {
        return new Sides($this->width, $this->height);
    }

    public function right(): int
    {
        return $this->x + $this->width;
    }

    public function bottom(): int
    {
        return $this->y + $this->height;
    }

    public function isWithin(self $other): bool
    {
        return $this->x >= $other->x && $this->y >= $other->y && $this->right() <= $other->right() && $this->bottom() <= $other->bottom();
    }

    /** Whether the two have more than an edge in common. */
    public function overlaps(self $other): bool
    {
        return $this->x < $other->right() && $other->x < $this->right() && $this->y < $other->bottom() && $other->y < $this->bottom();
    }

    public function moved(int $right, int $down): self
    {
        return new self($this->x + $right, $this->y + $down, $this->width, $this->height);
    }

    /** Returns it so much larger on each side. */
    public function grown(int $by): self
    {
        return new self($this->x - $by, $this->y - $by, $this->width + 2 * $by, $this->height + 2 * $by);
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }
}
