<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

use Lottel\Core\Furniture\Access;

/**
 * Times of motions after the data card of MTM-1 (H. B. Maynard, G. J. Stegemerten, J. L. Schwab, “Methods-Time Measurement”,
 * 1948): a pace W-P 15.0, bend B 29.0 and arise AB 31.9, turn body TBC1 18.6, reach R40B 15.6, grasp G1A 2.0, move M40B 15.6,
 * release RL1 2.0, in TMU of 0.036 s. The figures are from memory; the stool, the door and the lifting off of a layer are put
 * together from them and are estimates. They compare drawers with each other; they are no promise to a person.
 */
final class MotionTimes
{
    private const SECONDS_PER_TMU = 0.036;
    private const PACE_TMU = 15.0;
    private const PACE_MM = 860.0;
    private const BEND_AND_ARISE = 60.9;
    private const TURN = 18.6;
    private const REACH = 15.6;
    private const GRASP = 2.0;
    private const MOVE = 15.6;
    private const RELEASE = 2.0;
    private const FETCH_AND_CLIMB_STOOL = 260.0;
    private const BEND_BELOW_MM = 700;
    private const STOOL_ABOVE_MM = 1900;

    /** Returns the seconds of walking so many millimetres. */
    public function walk(float $millimetres): float
    {
        return $millimetres / self::PACE_MM * self::PACE_TMU * self::SECONDS_PER_TMU;
    }

    /**
     * Returns the seconds that it takes to get at a place when standing before it, and to close it again.
     *
     * @param int $heightMm of its middle above the floor
     * @param Access $access how it opens
     * @param int $layers layers that lie on it and are lifted off and put back
     */
    public function getAt(int $heightMm, Access $access, int $layers = 0): float
    {
        return $this->turn() + $this->bend($heightMm) + $this->climb($heightMm) + $this->open($access) + $this->lift($layers);
    }

    /** Returns the seconds of turning to a place. */
    public function turn(): float
    {
        return self::TURN * self::SECONDS_PER_TMU;
    }

    /** Returns the seconds of bending down to a height above the floor, in millimetres, and coming up again. */
    public function bend(int $heightMm): float
    {
        return $heightMm < self::BEND_BELOW_MM ? self::BEND_AND_ARISE * self::SECONDS_PER_TMU : 0.0;
    }

    /** Returns the seconds of fetching and climbing a stool for a height above the floor, in millimetres. */
    public function climb(int $heightMm): float
    {
        return $heightMm > self::STOOL_ABOVE_MM ? self::FETCH_AND_CLIMB_STOOL * self::SECONDS_PER_TMU : 0.0;
    }

    /** Returns the seconds of opening a place and closing it again. */
    public function open(Access $access): float
    {
        return $access->grips() * $this->handle();
    }

    /** Returns the seconds of lifting layers off and putting them back. */
    public function lift(int $layers): float
    {
        return 2 * $layers * $this->handle();
    }

    /** Returns the seconds of taking, or putting down, one thing. */
    public function handle(): float
    {
        return (self::REACH + self::GRASP + self::MOVE + self::RELEASE) * self::SECONDS_PER_TMU;
    }
}
