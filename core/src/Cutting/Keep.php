<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Measure\Length;

/** From which sides on an offcut is worth keeping. Lengths as in Piece. */
final readonly class Keep
{
    public function __construct(private int $short, private int $long)
    {
    }

    /** One inch by two, in ticks (common practice, no source). */
    public static function usual(): self
    {
        return new self(Length::TICKS_PER_INCH, 2 * Length::TICKS_PER_INCH);
    }

    public function isWorth(int $width, int $height): bool
    {
        return min($width, $height) >= $this->short && max($width, $height) >= $this->long;
    }
}
