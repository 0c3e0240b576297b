<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

use Lottel\Core\Measure\Length;

/** Three sides: of a thing, or of the inside of a place. Width is left to right, height is upright, depth is front to back. */
final readonly class Box
{
    public function __construct(public Length $width, public Length $height, public Length $depth)
    {
    }

    public static function ofMillimetres(int $width, int $height, int $depth): self
    {
        return new self(Length::ofTenthMillimetres(10 * $width), Length::ofTenthMillimetres(10 * $height), Length::ofTenthMillimetres(10 * $depth));
    }

    /** Returns the volume in litres. */
    public function litres(): float
    {
        return $this->width->millimetres() * $this->height->millimetres() * $this->depth->millimetres() / 1e6;
    }

    /** Whether it goes into another box as it stands. */
    public function isWithin(self $other): bool
    {
        return $this->width->ticks <= $other->width->ticks && $this->height->ticks <= $other->height->ticks && $this->depth->ticks <= $other->depth->ticks;
    }
}
