<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Weeding;

/** A use-it-up month of one kind of thing: what there was before, what went into kits, what was given away, what came in, what is left. */
final readonly class UsedUp
{
    /** All in pieces, or in things. */
    public function __construct(public int $before, public int $used, public int $partedWith, public int $cameIn, public int $left)
    {
    }

    /** Returns what went or came in another way: lost, counted, found, changed. */
    public function otherwise(): int
    {
        return $this->left - ($this->before - $this->used - $this->partedWith + $this->cameIn);
    }

    /** Returns how much of what there was is gone, in whole percent; null where there was nothing. */
    public function gone(): ?int
    {
        return 0 === $this->before ? null : (int) round(100 * min($this->before, $this->used + $this->partedWith) / $this->before);
    }
}
