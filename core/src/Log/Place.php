<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** What the log needs to know about a place. */
final readonly class Place
{
    /** @param bool $isRetired whether it has been taken out of use; nothing moves into or out of it any more */
    public function __construct(public int $id, public PlaceNature $nature, public string $label, public bool $isRetired = false)
    {
    }

    /** Whether things are kept in it: storage, or the heap of what is not filed. */
    public function isStore(): bool
    {
        return PlaceNature::Storage === $this->nature || PlaceNature::Unfiled === $this->nature;
    }

    public function isTray(): bool
    {
        return PlaceNature::Tray === $this->nature;
    }

    /** Whether it is one of these outside places. */
    public function isAnyOf(Outside ...$outside): bool
    {
        return PlaceNature::Outside === $this->nature && \in_array(Outside::tryFrom($this->label), $outside, true);
    }
}
