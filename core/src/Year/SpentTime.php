<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** How long somebody was busy, told by the moments at which the log speaks of it. */
final class SpentTime
{
    /** A longer silence at the bench is a break, of which so much is counted as work. Minutes. */
    private const LONGEST_SILENCE = 45;

    /** Gaps of more seconds at a round are no walk to the next thing. */
    private const LONGEST_STOP = 240;

    /** So few stops are no measure yet. */
    private const LEAST_STOPS = 20;

    /**
     * Returns the seconds that one thing takes to be fetched: the middle one of the gaps between the stops of rounds; null where the
     * log has too few.
     *
     * @param list<list<int>> $rounds the moments of each round in seconds, in any order
     */
    public static function secondsAStop(array $rounds): ?int
    {
        $gaps = [];
        foreach ($rounds as $moments) {
            sort($moments);
            for ($nth = 1; $nth < \count($moments); ++$nth) {
                $gap = $moments[$nth] - $moments[$nth - 1];
                if ($gap > 0 && $gap <= self::LONGEST_STOP) {
                    $gaps[] = $gap;
                }
            }
        }
        sort($gaps);

        return \count($gaps) < self::LEAST_STOPS ? null : $gaps[intdiv(\count($gaps), 2)];
    }

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
