<?php

declare(strict_types=1);

namespace Lottel\Core\Care;

/** A pad that was inked anew lies flat, its lid up, for a day or two: on its side it leaks (common practice, no source). */
final class FreshInk
{
    public const USUAL_DAYS = 2;
    public const MOST_DAYS = 14;

    /** Returns when it may stand on its side again. */
    public static function until(\DateTimeImmutable $inked, int $days = self::USUAL_DAYS): \DateTimeImmutable
    {
        return $inked->modify(\sprintf('+%d hours', 24 * max(1, min(self::MOST_DAYS, $days))));
    }
}
