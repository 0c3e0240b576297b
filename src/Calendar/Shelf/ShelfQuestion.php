<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Calendar\Year\Occasion;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Year\Day;

/** Which card somebody looks for. */
final readonly class ShelfQuestion
{
    /** @param int $person who it is for, 0 for nobody in particular */
    public function __construct(
        public ?Occasion $occasion,
        public ?Day $day,
        public string $wants,
        public string $rather,
        public ?Srgb $colour,
        public int $person,
    ) {
    }

    public function isAsked(): bool
    {
        return null !== $this->occasion || '' !== $this->wants || '' !== $this->rather || $this->person > 0;
    }

    /** The date as a form names it. */
    public function date(): string
    {
        return null === $this->occasion || null === $this->day ? '' : $this->occasion->id.':'.$this->day->text();
    }
}
