<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** When a kit is worked on. */
final readonly class WorkDays
{
    /** @param non-empty-array<int, int> $work the amount by the number of its Day, in order */
    public function __construct(public KitWork $kit, public array $work)
    {
    }

    /** The day on which it must be begun at the latest. */
    public function start(): Day
    {
        return Day::numbered(array_key_first($this->work));
    }

    public function lastWorkDay(): Day
    {
        return Day::numbered(array_key_last($this->work));
    }

    /** The day on which it is done, its drying counted. */
    public function done(): Day
    {
        return $this->lastWorkDay()->plus($this->kit->dryingDays);
    }

    /** By how many days it is done after it is due; 0 where it is in time. */
    public function late(): int
    {
        return max(0, $this->kit->due->until($this->done()));
    }
}
