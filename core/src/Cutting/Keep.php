<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;

/** From which sides on an offcut is worth keeping. Lengths as in Piece. */
final readonly class Keep
{
    public function __construct(public int $short, public int $long)
    {
    }

    /** As is usual where a room measures so, in ticks. */
    public static function usualIn(LengthUnit $unit): self
    {
        $usual = Usual::in($unit);

        return new self($usual->keptShort()->ticks, $usual->keptLong()->ticks);
    }

    public function isWorth(int $width, int $height): bool
    {
        return min($width, $height) >= $this->short && max($width, $height) >= $this->long;
    }
}
