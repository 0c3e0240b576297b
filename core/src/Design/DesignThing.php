<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Something that a design takes besides paper: an envelope, foam, a stamp set. Quantities as the item's tracking counts. */
final readonly class DesignThing
{
    /**
     * @param int $item its number in the catalogue
     * @param int $each how much one card, page or set takes; 0 where the number of them does not matter
     * @param int $total how much is taken altogether, where that does not follow from the number
     */
    public function __construct(public int $item, public ThingRole $role, public int $each, public int $total = 0)
    {
    }

    /** Returns how much is wanted for so many. */
    public function quantity(int $made): int
    {
        return 0 === $this->each ? max(1, $this->total) : $this->each * $made;
    }

    /** Returns it with so much wanted for so many: shared out where that comes out even, else as a whole. */
    public function wanting(int $quantity, int $made): self
    {
        $isEven = 0 !== $this->each && 0 === $quantity % $made;

        return new self($this->item, $this->role, $isEven ? intdiv($quantity, $made) : 0, $isEven ? 0 : $quantity);
    }
}
