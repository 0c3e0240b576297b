<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** What the log needs to know about a place. */
final readonly class LoggedPlace
{
    /**
     * @param bool $isRetired whether it has been taken out of use; nothing moves into or out of it any more
     * @param bool $isPerson whether it stands for somebody who has things of the room for a while; its nature is that of a tray
     * @param bool $isBasket whether things are carried in it from home to home on an errand; its nature is that of a tray
     */
    public function __construct(
        public int $id,
        public PlaceNature $nature,
        public string $label,
        public bool $isRetired = false,
        public bool $isPerson = false,
        public bool $isBasket = false,
    ) {
    }

    /** Returns the place as it was while it was in use. */
    public function inUse(): self
    {
        return new self($this->id, $this->nature, $this->label, false, $this->isPerson, $this->isBasket);
    }

    /** Whether things are kept in it: storage, or the heap of what is not filed. */
    public function isStore(): bool
    {
        return PlaceNature::Storage === $this->nature || PlaceNature::Unfiled === $this->nature;
    }

    /** Whether a kit has it: a tray, or a folder. */
    public function isTray(): bool
    {
        return PlaceNature::Tray === $this->nature && !$this->isPerson && !$this->isBasket;
    }

    /** Whether it is one of these outside places. */
    public function isAnyOf(Outside ...$outside): bool
    {
        return PlaceNature::Outside === $this->nature && \in_array(Outside::tryFrom($this->label), $outside, true);
    }
}
