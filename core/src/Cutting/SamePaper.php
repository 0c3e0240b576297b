<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Paper\Grammage;

/** Whether two sheets are of one paper in different sizes, so that a piece may come out of either. */
final class SamePaper
{
    /** Wrappers of one paper differ by so much of its weight (common practice, no source). */
    private const SAME_WEIGHT = 0.06;
    /** A card is made as well from a paper that is so much lighter or heavier (common practice, no source). */
    private const NEAR_WEIGHT = 0.15;

    /** What has no colour of its own, or nobody knows how heavy it is, is only itself. */
    public static function is(?Lab $one, ?Grammage $oneWeight, ?Lab $other, ?Grammage $otherWeight): bool
    {
        return self::isWithin(Difference::UNSEEN, self::SAME_WEIGHT, $one, $oneWeight, $other, $otherWeight);
    }

    /** Whether one may stand in for the other; what has no colour of its own, or nobody knows how heavy it is, is only itself. */
    public static function isNear(?Lab $one, ?Grammage $oneWeight, ?Lab $other, ?Grammage $otherWeight): bool
    {
        return self::isWithin(Difference::PASSES, self::NEAR_WEIGHT, $one, $oneWeight, $other, $otherWeight);
    }

    private static function isWithin(float $colour, float $share, ?Lab $one, ?Grammage $oneWeight, ?Lab $other, ?Grammage $otherWeight): bool
    {
        return null !== $one && null !== $other && null !== $oneWeight && null !== $otherWeight
            && Difference::isWithin($colour, $one, $other)
            && abs($oneWeight->gsm() - $otherWeight->gsm()) <= $share * $oneWeight->gsm();
    }
}
