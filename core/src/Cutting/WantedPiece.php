<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Paper\Direction;

/** A piece that one looks for a scrap for: its sides, and the direction that its own pattern or grain has. Lengths as in Piece. */
final readonly class WantedPiece
{
    public function __construct(public int $width, public int $height, public Direction $direction = Direction::None)
    {
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }

    /** @return array{int, int} its sides as it lies */
    public function sides(bool $isTurned): array
    {
        return $isTurned ? [$this->height, $this->width] : [$this->width, $this->height];
    }
}
