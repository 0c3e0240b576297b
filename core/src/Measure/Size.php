<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/** A width and a height. */
final readonly class Size
{
    public function __construct(public Length $width, public Length $height)
    {
    }

    /** @throws InvalidLength if a side is negative or over 100 m */
    public static function ofTicks(int $width, int $height): self
    {
        return new self(Length::ofTicks($width), Length::ofTicks($height));
    }

    /** Returns a size in whole millimetres. */
    public static function ofMillimetres(int $width, int $height): self
    {
        return new self(Length::ofTenthMillimetres(10 * $width), Length::ofTenthMillimetres(10 * $height));
    }

    /** Returns a size in sixteenths of an inch. */
    public static function ofSixteenths(int $width, int $height): self
    {
        return new self(Length::ofInches($width, 16), Length::ofInches($height, 16));
    }

    public function turned(): self
    {
        return new self($this->height, $this->width);
    }

    public function equals(?self $other): bool
    {
        return null !== $other && $this->width->ticks === $other->width->ticks && $this->height->ticks === $other->height->ticks;
    }

    /** Whether it lies within another size as it is. */
    public function isWithin(self $other): bool
    {
        return $this->width->ticks <= $other->width->ticks && $this->height->ticks <= $other->height->ticks;
    }

    /** Returns the area in square metres. */
    public function squareMetres(): float
    {
        return $this->width->millimetres() * $this->height->millimetres() / 1e6;
    }
}
