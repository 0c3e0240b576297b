<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Room\Catalogue\ThingLine;

/** Something to be bought: how much, why, what it costs at the last price, and what there is already that is like it. */
final readonly class ShoppingLine
{
    /**
     * @param list<AlikeThing> $alike things like it that are there
     * @param bool $isDear whether the last price is above what somebody pays
     */
    public function __construct(
        public ThingLine $thing,
        public int $quantity,
        public string $why,
        public ?int $cents,
        public string $shop,
        public array $alike,
        public bool $isDear,
    ) {
    }
}
