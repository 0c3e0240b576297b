<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * A part of a piece of stock: whole, or cut from edge to edge into two further parts, or a piece of the job. Measured from
 * the stock's left upper corner. Lengths as in Piece.
 */
final class SheetPart
{
    public ?self $first = null;
    public ?self $second = null;
    public bool $isCutAlongX = false;
    public ?int $piece = null;
    public bool $isTurned = false;

    public function __construct(public readonly int $x, public readonly int $y, public readonly int $width, public readonly int $height)
    {
    }

    /** Cuts at a distance from the left edge (along x) or from the upper edge, and returns the first part. */
    public function cut(bool $alongX, int $at): self
    {
        $this->isCutAlongX = $alongX;
        $this->first = $alongX ? new self($this->x, $this->y, $at, $this->height) : new self($this->x, $this->y, $this->width, $at);
        $this->second = $alongX
            ? new self($this->x + $at, $this->y, $this->width - $at, $this->height)
            : new self($this->x, $this->y + $at, $this->width, $this->height - $at);

        return $this->first;
    }

    /** Makes it whole and empty again. */
    public function clear(): void
    {
        $this->first = $this->second = $this->piece = null;
        $this->isTurned = false;
    }

    /** Makes every part whole again of which neither half holds a piece; returns whether this one holds none. */
    public function mend(): bool
    {
        if (null === $this->first || null === $this->second) {
            return null === $this->piece;
        }
        $isEmpty = $this->first->mend();
        $isEmpty = $this->second->mend() && $isEmpty;
        if ($isEmpty) {
            $this->clear();
        }

        return $isEmpty;
    }

    /** Returns a part of its own that is cut the same way. */
    public function copy(): self
    {
        $copy = new self($this->x, $this->y, $this->width, $this->height);
        $copy->piece = $this->piece;
        $copy->isTurned = $this->isTurned;
        $copy->isCutAlongX = $this->isCutAlongX;
        $copy->first = $this->first?->copy();
        $copy->second = $this->second?->copy();

        return $copy;
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }

    /** @return list<self> the parts that are not cut further, from left to right and top to bottom of each cut */
    public function leaves(): array
    {
        $leaves = [];
        /** @var list<self> $open */
        $open = [$this];
        while (null !== $part = array_pop($open)) {
            if (null === $part->first || null === $part->second) {
                $leaves[] = $part;
            } else {
                $open[] = $part->second;
                $open[] = $part->first;
            }
        }

        return $leaves;
    }

    /** @return list<int> the two settings at which its cut can be made, from either edge; none where it is not cut */
    public function settings(): array
    {
        if (null === $this->first || null === $this->second) {
            return [];
        }

        return $this->isCutAlongX ? [$this->first->width, $this->second->width] : [$this->first->height, $this->second->height];
    }

    public function cuts(): int
    {
        return null === $this->first || null === $this->second ? 0 : 1 + $this->first->cuts() + $this->second->cuts();
    }

    /** @return array<int, int> how many of each piece it holds */
    public function pieces(): array
    {
        $counts = [];
        foreach ($this->leaves() as $leaf) {
            if (null !== $leaf->piece) {
                $counts[$leaf->piece] = ($counts[$leaf->piece] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /** Returns the area of the largest part that is no piece. */
    public function largestOffcut(): int
    {
        $largest = 0;
        foreach ($this->leaves() as $leaf) {
            $largest = null === $leaf->piece ? max($largest, $leaf->area()) : $largest;
        }

        return $largest;
    }
}
