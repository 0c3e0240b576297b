<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

use Lottel\Core\Furniture\Cell;

/** Where a thing is seen in a picture: the box around it, in thousandths of the picture's width and height, from its upper left corner. */
final readonly class Spot
{
    public const WHOLE = 1000;
    private const LEAST = 8;

    private function __construct(public int $x, public int $y, public int $width, public int $height)
    {
    }

    /** @throws InvalidSpot if it is not within the picture, or narrower than eight thousandths */
    public static function of(int $x, int $y, int $width, int $height): self
    {
        if (min($x, $y) < 0 || min($width, $height) < self::LEAST || max($x + $width, $y + $height) > self::WHOLE) {
            throw InvalidSpot::isOutside();
        }

        return new self($x, $y, $width, $height);
    }

    /** Returns the spot between two corners, whichever way it was drawn, cut off at the picture's edges. */
    public static function between(int $x1, int $y1, int $x2, int $y2): self
    {
        [$left, $width] = self::side(min($x1, $x2), max($x1, $x2));
        [$top, $height] = self::side(min($y1, $y2), max($y1, $y2));

        return new self($left, $top, $width, $height);
    }

    /**
     * Reads four per cents: left, top, width and height.
     *
     * @throws InvalidSpot if they are not four numbers, or no spot of the picture
     */
    public static function parse(string $text): self
    {
        $parts = preg_split('/[\s,;]+/', trim($text)) ?: [];
        if (
            4 !== \count($parts)
            || \count($parts) !== \count(array_filter($parts, static fn (string $part): bool => 1 === preg_match('/^\d{1,3}(\.\d)?%?$/D', $part)))
        ) {
            throw InvalidSpot::isNone($text);
        }

        return self::of(...array_map(static fn (string $part): int => (int) round(10 * (float) $part), $parts));
    }

    public function __toString(): string
    {
        return implode(', ', array_map(static fn (int $side): string => (string) ($side / 10), [$this->x, $this->y, $this->width, $this->height]));
    }

    /** Whether its middle lies in a part of what the picture shows, seen from above with the front at the bottom. */
    public function liesIn(Cell $cell): bool
    {
        [$x, $y] = [$this->x + $this->width / 2, $this->y + $this->height / 2];

        return $x >= $cell->x && $x < $cell->x + $cell->width && $y >= $cell->y && $y < $cell->y + $cell->height;
    }

    /** Returns the share of the two spots together that they have in common, from 0 to 1. */
    public function overlap(self $other): float
    {
        $across = min($this->x + $this->width, $other->x + $other->width) - max($this->x, $other->x);
        $down = min($this->y + $this->height, $other->y + $other->height) - max($this->y, $other->y);
        $common = max(0, $across) * max(0, $down);

        return $common / ($this->width * $this->height + $other->width * $other->height - $common);
    }

    /** @return array{int, int} where a side begins, and how long it is */
    private static function side(int $from, int $to): array
    {
        $from = max(0, min(self::WHOLE - self::LEAST, $from));

        return [$from, max(self::LEAST, min(self::WHOLE, $to) - $from)];
    }
}
