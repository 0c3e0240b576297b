<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A piece to be cut, so many times. Lengths are whole numbers of one unit that the whole job shares (ticks in the application). */
final readonly class Piece
{
    public function __construct(public string $id, public int $width, public int $height, public int $quantity, public bool $mayTurn, public string $paper)
    {
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }

    /**
     * Returns the ways it may lie: width, height, and whether that is turned.
     *
     * @return list<array{int, int, bool}>
     */
    public function ways(): array
    {
        $upright = [$this->width, $this->height, false];

        return $this->mayTurn && $this->width !== $this->height ? [$upright, [$this->height, $this->width, true]] : [$upright];
    }
}
