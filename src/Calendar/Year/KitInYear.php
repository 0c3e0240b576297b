<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\KitRow;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\KitTime;
use Lottel\Core\Year\WorkDays;

/** A kit on its due date, with the days on which it is worked on. */
final readonly class KitInYear
{
    /**
     * @param WorkDays|null $plan null where it has no date, nothing is left to make, or nobody has said when somebody is at the bench
     * @param Day|null $fits the Monday of the first week that has room for it, where it has no date
     */
    public function __construct(
        public KitRow $kit,
        public KitTime $time,
        public ?Day $due,
        public ?WorkDays $plan,
        public ?TimeOfKit $said,
        public ?KitForOccasion $for,
        public ?Day $fits = null,
    ) {
    }

    public function isFor(Occasion $occasion, Day $day): bool
    {
        return $this->for?->occasion === $occasion && Day::of($this->for->day)->number === $day->number;
    }

    public function isLate(Day $today): bool
    {
        return null !== $this->due && ($this->due->number < $today->number || ($this->plan?->late() ?? 0) > 0);
    }

    /** By when it must be begun, and how long it takes, in words. */
    public function inWords(Day $today): string
    {
        return match (true) {
            null === $this->plan => $this->time->inWords(),
            $this->plan->start()->number <= $today->number => 'now, '.$this->time->inWords(),
            default => 'from '.$this->plan->start()->date()->format('D j M').', '.$this->time->inWords(),
        };
    }
}
