<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Furniture\Access;
use Lottel\Core\Round\MotionTimes;

/** How long it takes from the bench to have a thing of a place in hand and be back. */
final readonly class Reach
{
    /** Going through a door to another room and back, in seconds; an estimate. */
    private const OTHER_ROOM_SECONDS = 8.0;

    /** The way to a unit that stands nowhere on the floor plan, in millimetres; an estimate. */
    private const WALK_UNKNOWN_MM = 2000.0;

    public function __construct(private MotionTimes $times = new MotionTimes())
    {
    }

    /**
     * Returns the seconds.
     *
     * @param float|null $walkMm walking distance from the bench, one way, in millimetres; null where its unit stands on no floor plan
     * @param int $heightMm of the place's middle above the floor
     * @param int $layers layers that lie on it
     * @param bool $isAway whether it is in another room
     */
    public function to(?float $walkMm, int $heightMm, Access $access, int $layers = 0, bool $isAway = false): ReachSeconds
    {
        return new ReachSeconds(
            $this->times->walk(2 * ($walkMm ?? self::WALK_UNKNOWN_MM)),
            $isAway ? self::OTHER_ROOM_SECONDS : 0.0,
            $this->times->bend($heightMm),
            $this->times->climb($heightMm),
            $this->times->open($access),
            $this->times->lift($layers),
            $this->times->turn() + $this->times->handle(),
        );
    }
}
