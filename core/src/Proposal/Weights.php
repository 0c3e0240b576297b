<?php

declare(strict_types=1);

namespace Lottel\Core\Proposal;

use Lottel\Core\Colour\Harmony;

/** What speaks against a thing, or against two beside each other, in points (common practice, no source). */
final class Weights
{
    private const YEAR = 365;

    /** A set that was used today, against one that has lain for a year. */
    private const STAMPS_IDLE = 40.0;
    private const OTHERS_IDLE = 8.0;
    private const NEW_SHEET = 15.0;
    private const OUT_OF_HARMONY = 60.0;
    private const SAME_COLOUR = 12.0;
    private const LITTLE_CONTRAST = 20.0;
    private const CONTRAST = 0.25;
    private const SECONDS_A_POINT = 10.0;

    public static function alone(PartOfCard $part, ThingToUse $thing): float
    {
        $idle = 1 - min(self::YEAR, max(0, $thing->idleDays)) / self::YEAR;

        return $idle * (PartOfCard::Stamps === $part ? self::STAMPS_IDLE : self::OTHERS_IDLE)
            + $thing->seconds / self::SECONDS_A_POINT
            + (\in_array($part, [PartOfCard::Panel, PartOfCard::Mat], true) && !$thing->isScrap ? self::NEW_SHEET : 0.0);
    }

    /** Two papers beside each other: in harmony, and not the same. */
    public static function beside(ThingToUse $one, ThingToUse $other): float
    {
        if (null === $one->lch || null === $other->lch) {
            return self::OUT_OF_HARMONY / 2;
        }
        $isSame = abs($one->lch->l - $other->lch->l) < 0.08 && Harmony::SameHue === Harmony::between($one->lch, $other->lch)[0];

        return Harmony::between($one->lch, $other->lch)[1] / 180 * self::OUT_OF_HARMONY + ($isSame ? self::SAME_COLOUR : 0.0);
    }

    /** An ink on a paper: it can be read. */
    public static function printed(ThingToUse $ink, ThingToUse $paper): float
    {
        $isFaint = null === $ink->lch || null === $paper->lch || abs($ink->lch->l - $paper->lch->l) < self::CONTRAST;

        return $isFaint ? self::LITTLE_CONTRAST : 0.0;
    }
}
