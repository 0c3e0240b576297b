<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Room\Catalogue\ThingLine;

/** What the open kits together want more of than there is. Quantities as the thing's tracking counts. */
final readonly class Shortfall
{
    /**
     * @param list<string> $kits that want it, by name
     * @param string|null $soonest when the first of them is due
     * @param int|null $cents what that much cost at the last price, where one is known
     */
    public function __construct(
        public ThingLine $thing,
        public int $wanted,
        public int $there,
        public array $kits,
        public ?string $soonest,
        public ?int $cents,
        public string $shop,
    ) {
    }

    public function missing(): int
    {
        return $this->wanted - $this->there;
    }
}
