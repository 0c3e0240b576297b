<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Paper to cut from: full sheets, or scraps and ready-cut panels, which rank as scraps. Lengths as in Piece. */
final readonly class Stock
{
    public function __construct(public string $id, public int $width, public int $height, public int $quantity, public string $paper, public bool $isSheet)
    {
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }
}
