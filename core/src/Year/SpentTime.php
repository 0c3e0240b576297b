<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** How long somebody was busy, told by the moments at which the log speaks of it. */
final class SpentTime
{
    /** A longer silence at the bench is a break, of which so much is counted as work. Minutes. */
    private const LONGEST_SILENCE = 45;

    /**
     * Returns the minutes between the first and the last moment, long silences shortened.
     *
     * @param list<int> $moments in seconds, in any order
     */
    public static function minutes(array $moments): int
    {
        sort($moments);
        $seconds = 0;
        foreach ($moments as $nth => $moment) {
            $seconds += 0 === $nth ? 0 : min(60 * self::LONGEST_SILENCE, $moment - $moments[$nth - 1]);
        }

        return (int) round($seconds / 60);
    }
}
