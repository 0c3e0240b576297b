<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\Day;

/** A date of the year, and what is made for it. */
final readonly class DateInYear
{
    /**
     * @param Day $doneBy the day on which what it wants must be done
     * @param int $served how many finished pieces are kept for it
     * @param int $gone how many were given for it
     * @param Day|null $beginBy the day on which it must be begun at the latest; null where nobody has said when somebody is at the bench
     */
    public function __construct(
        public Occasion $occasion,
        public Day $day,
        public Day $doneBy,
        public ?int $years,
        public ?KitInYear $kit,
        public ?Day $beginBy,
        public bool $isMade,
        public int $served = 0,
        public int $gone = 0,
    ) {
    }

    /** The date as forms and addresses name it. */
    public function key(): string
    {
        return $this->occasion->id.':'.$this->day->text();
    }

    public function isToMake(): bool
    {
        return !$this->isMade && null === $this->kit && !$this->isServed();
    }

    /** Whether as many finished pieces are kept or gone as it wants. */
    public function isServed(): bool
    {
        return $this->served + $this->gone >= $this->occasion->pieces;
    }

    public function name(): string
    {
        return null === $this->years || $this->years < 1 || !$this->occasion->kind->isOfAPerson()
            ? $this->occasion->name
            : \sprintf('%s is %d', $this->occasion->contact->name ?? $this->occasion->name, $this->years);
    }
}
