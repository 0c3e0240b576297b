<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Paper\Grammage;

/** Whether two sheets are of one paper in different sizes, so that a piece may come out of either. */
final class SamePaper
{
    /** Nobody sees so little on a card (common practice, no source). */
    public const SAME_COLOUR = 2.0;

    /** Wrappers of one paper differ by so much of its weight (common practice, no source). */
    private const SAME_WEIGHT = 0.06;

    /** What has no colour of its own, or nobody knows how heavy it is, is only itself. */
    public static function is(?Lab $one, ?Grammage $oneWeight, ?Lab $other, ?Grammage $otherWeight): bool
    {
        return null !== $one && null !== $other && null !== $oneWeight && null !== $otherWeight
            && Difference::between($one, $other) <= self::SAME_COLOUR
            && abs($oneWeight->gsm() - $otherWeight->gsm()) <= self::SAME_WEIGHT * $oneWeight->gsm();
    }
}
