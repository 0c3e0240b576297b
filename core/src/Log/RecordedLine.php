<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** A line of a log that was written elsewhere, in numbers: what, how much, from where, to where, why. */
final readonly class RecordedLine
{
    /**
     * @param int $quantity as the thing was counted then
     * @param bool $hasKit whether it was made for a kit
     * @param int|null $reverses the line that it puts right
     */
    public function __construct(
        public int $line,
        public int $item,
        public int $quantity,
        public int $from,
        public int $to,
        public Reason $reason,
        public bool $hasKit,
        public ?int $reverses,
    ) {
    }

    /** Whether this line takes back what the other did, whole. */
    public function mirrors(self $other): bool
    {
        return null === $other->reverses
            && $this->item === $other->item
            && $this->quantity === $other->quantity
            && $this->from === $other->to
            && $this->to === $other->from;
    }
}
