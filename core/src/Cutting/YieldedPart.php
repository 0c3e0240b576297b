<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** So many equal parts that a cut leaves. Sides in ticks, as they lie on the sheet; of a piece as it was asked for. */
final readonly class YieldedPart
{
    public function __construct(public PartFate $fate, public int $width, public int $height, public int $quantity, public ?int $piece = null)
    {
    }

    public function area(): int
    {
        return $this->width * $this->height * $this->quantity;
    }
}
