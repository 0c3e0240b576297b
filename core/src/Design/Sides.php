<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Size;

/** A width and a height in whole ticks, or in any other whole unit: nothing here asks which. */
final readonly class Sides
{
    public function __construct(public int $width, public int $height)
    {
    }

    public static function of(Size $size): self
    {
        return new self($size->width->ticks, $size->height->ticks);
    }

    /** Returns it as a size in ticks. */
    public function size(): Size
    {
        return Size::ofTicks($this->width, $this->height);
    }

    public function turned(): self
    {
        return new self($this->height, $this->width);
    }

    public function equals(self $other): bool
    {
        return $this->width === $other->width && $this->height === $other->height;
    }

    /** Whether it lies within another one as it is. */
    public function isWithin(self $other): bool
    {
        return $this->width <= $other->width && $this->height <= $other->height;
    }

    /** Whether it lies within another one, as it is or turned. */
    public function fitsIn(self $other): bool
    {
        return $this->isWithin($other) || $this->turned()->isWithin($other);
    }

    public function isNothing(): bool
    {
        return $this->width <= 0 || $this->height <= 0;
    }

    /** Returns it so much smaller on each side; a side may come out as nothing or less. */
    public function less(int $reveal): self
    {
        return new self($this->width - 2 * $reveal, $this->height - 2 * $reveal);
    }
}
