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
        return $this->quantity * $this->ofOne($piece);
    }

    /** Returns how many equal pieces no plan gets more of out of all of it: by area, and none where not even one fits. */
    public function atMost(Piece $piece): int
    {
        return 0 === $this->ofOne($piece) ? 0 : $this->quantity * intdiv($this->area(), $piece->width * $piece->height);
    }

    /** Returns how many sheets so many pieces take in rows and columns; null where they do not come out of it so. */
    public function sheetsFor(Piece $piece): ?int
    {
        $ofOne = $this->ofOne($piece);
        $sheets = 0 === $ofOne ? null : (int) ceil($piece->quantity / $ofOne);

        return $sheets > $this->quantity ? null : $sheets;
    }

    private function ofOne(Piece $piece): int
    {
        $upright = intdiv($this->width, $piece->width) * intdiv($this->height, $piece->height);
        $turned = $piece->mayTurn ? intdiv($this->width, $piece->height) * intdiv($this->height, $piece->width) : 0;

        return max($upright, $turned);
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }
}
