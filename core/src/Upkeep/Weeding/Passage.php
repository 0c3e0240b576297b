<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Weeding;

use Lottel\Core\Log\Reason;

/** A line of the log by which so much of a kind came into the room, or left it. */
final readonly class Passage
{
    /**
     * @param int $quantity pieces of what is counted, else things
     * @param bool $stands whether it was not put right, and puts no other right
     */
    public function __construct(
        public \DateTimeImmutable $at,
        public int $quantity,
        public Reason $reason,
        public Whereabouts $from,
        public Whereabouts $to,
        public bool $stands,
    ) {
    }

    /** Returns by how much it changed what is in the room; what waits to be gone has left it. */
    public function net(): int
    {
        return match (true) {
            $this->from === $this->to => 0,
            Whereabouts::Room === $this->to => $this->quantity,
            Whereabouts::Room === $this->from => -$this->quantity,
            default => 0,
        };
    }

    /** Whether somebody parted with it: into a box of what goes, or out of the room for good. */
    public function isParting(): bool
    {
        $isGoing = Whereabouts::Waiting === $this->to || (Whereabouts::Outside === $this->to && Reason::Discard === $this->reason);

        return $this->stands && Whereabouts::Room === $this->from && $isGoing;
    }

    /** Whether it was taken in from outside. */
    public function isArrival(): bool
    {
        return $this->stands && Whereabouts::Outside === $this->from && Reason::TakeIn === $this->reason;
    }
}
