<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Paper to cut from: full sheets, or scraps and ready-cut panels, which rank as scraps. Lengths as in Piece. */
final readonly class Stock
{
    public function __construct(public string $id, public int $width, public int $height, public int $quantity, public string $paper, public bool $isSheet)
    {
    }

    /** Returns how many equal pieces come out of all of it in rows and columns; a plan may find room for more. */
    public function inRows(Piece $piece): int
    {
        $upright = intdiv($this->width, $piece->width) * intdiv($this->height, $piece->height);
        $turned = $piece->mayTurn ? intdiv($this->width, $piece->height) * intdiv($this->height, $piece->width) : 0;

        return $this->quantity * max($upright, $turned);
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }
}
