<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

use Lottel\Core\Catalogue\Kind;

/** How much of one kind of thing the cards ahead will take, and how much is free. */
final readonly class KindAhead
{
    /** @param float $each how much one card took so far */
    public function __construct(public Kind $kind, public float $each, public int $wanted, public int $free)
    {
    }

    public function short(): int
    {
        return max(0, $this->wanted - $this->free);
    }
}
