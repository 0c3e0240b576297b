<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\NeedRow;
use Lottel\Core\Design\DesignThing;

/** Something that a design takes besides paper, with its line on the kit's list. */
final readonly class ThingOnBoard
{
    public function __construct(public DesignThing $thing, public NeedRow $need)
    {
    }

    /** How much of what is still wanted can be had. */
    public function atHand(): int
    {
        return max(0, $this->need->left() - $this->need->shortfall());
    }

    public function isShort(): bool
    {
        return $this->need->shortfall() > 0;
    }
}
