<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** One line of the log: so much of an item from one place to another. Quantities as in Tracking. */
final readonly class Movement
{
    private function __construct(
        public int $item,
        public Tracking $tracking,
        public int $quantity,
        public LoggedPlace $from,
        public LoggedPlace $to,
        public Reason $reason,
    ) {
    }

    /**
     * Returns a movement that could be in a log; whether it may be added depends on the balances.
     *
     * @throws RefusedMovement if the quantity is out of range, or it goes nowhere, or from outside to outside
     */
    public static function of(int $item, Tracking $tracking, int $quantity, LoggedPlace $from, LoggedPlace $to, Reason $reason): self
    {
        $tracking->check($quantity);
        if ($from->id === $to->id) {
            throw RefusedMovement::goesNowhere($from->label);
        }
        if (!$from->nature->isInside() && !$to->nature->isInside()) {
            throw RefusedMovement::staysOutside();
        }

        return new self($item, $tracking, $quantity, $from, $to, $reason);
    }

    /** Returns a movement that is in the log already, whatever it is; the audit judges it. */
    public static function recorded(int $item, Tracking $tracking, int $quantity, LoggedPlace $from, LoggedPlace $to, Reason $reason): self
    {
        return new self($item, $tracking, $quantity, $from, $to, $reason);
    }

    /** Whether somebody takes the thing out of its place: for a reason of that kind, or by taking a return back. */
    public function isTaking(): bool
    {
        return $this->reason->isTaking() || ($this->from->isStore() && !$this->to->isStore() && $this->to->nature->isInside());
    }

    /** Returns the movement that puts this one right: as much back the other way. */
    public function reversed(): self
    {
        return new self($this->item, $this->tracking, $this->quantity, $this->to, $this->from, Reason::Reverse);
    }
}
