<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/**
 * How long a round takes from the bench and back: straight ways between the stops, getting at each, handling each thing, after
 * MotionTimes. An estimate that leaves out looking, deciding and other people.
 */
final readonly class RoundTime
{
    public function __construct(private MotionTimes $times = new MotionTimes())
    {
    }

    /**
     * Returns the seconds that are left.
     *
     * @param list<TimedStop> $stops in the order in which they are visited
     */
    public function seconds(array $stops, Point $bench): float
    {
        $seconds = 0.0;
        $at = $bench;
        foreach ($stops as $stop) {
            $seconds += $this->times->walk($at->distanceTo($stop->stand))
                + $this->times->getAt($stop->heightMm, $stop->access, $stop->layers)
                + $stop->things * $this->times->handle();
            $at = $stop->stand;
        }

        return [] === $stops ? 0.0 : $seconds + $this->times->walk($at->distanceTo($bench));
    }

    /** Returns so many seconds as `45 s`, `4 min 40 s` or `2 h 10 min`. */
    public static function spelt(float $seconds): string
    {
        $all = (int) round($seconds);
        [$hours, $minutes, $rest] = [intdiv($all, 3600), intdiv($all, 60) % 60, $all % 60];

        return match (true) {
            $hours > 0 => $hours.' h'.(0 === $minutes ? '' : ' '.$minutes.' min'),
            $minutes > 0 => $minutes.' min'.(0 === $rest ? '' : ' '.$rest.' s'),
            default => $rest.' s',
        };
    }

    /** Returns seconds in words, such as “about 2 minutes”; an estimate in whole minutes. */
    public static function inWords(float $seconds): string
    {
        $minutes = (int) round($seconds / 60);

        return $minutes < 1 ? 'less than a minute' : 'about '.(1 === $minutes ? '1 minute' : $minutes.' minutes');
    }
}
