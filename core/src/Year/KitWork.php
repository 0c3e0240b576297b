<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** The work that a kit still wants. */
final readonly class KitWork
{
    /**
     * @param int $amount of work, above 0, in the unit of the WorkingHours
     * @param Day $due the last day on which it is in time
     * @param int $dryingDays that it lies after its last day of work before it is done
     * @param Day|null $readyFrom before which it cannot be worked on
     */
    public function __construct(public int $amount, public Day $due, public int $dryingDays = 0, public ?Day $readyFrom = null)
    {
    }

    /** The last day for work on it. */
    public function lastDay(): Day
    {
        return $this->due->plus(-$this->dryingDays);
    }
}
