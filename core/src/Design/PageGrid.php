<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;

/** The grid on which blocks come to lie, and how near to an edge (common practice, no source). In ticks. */
final class PageGrid
{
    public const MARGIN = Length::TICKS_PER_INCH / 2;

    /** An eighth of an inch, or half a centimetre. */
    public static function step(LengthUnit $unit): int
    {
        return LengthUnit::Millimetre === $unit ? 5 * Length::TICKS_PER_MILLIMETRE : intdiv(Length::TICKS_PER_INCH, 8);
    }
}
