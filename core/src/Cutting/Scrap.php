<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Colour\Lab;

/** A scrap as it is looked for: its size, colour, weight, and whether it has a direction. Lengths as in Piece. */
final readonly class Scrap
{
    /** @param float|null $grammage in g/m², where it is known */
    public function __construct(
        public string $id,
        public int $width,
        public int $height,
        public ?Lab $colour = null,
        public ?float $grammage = null,
        public bool $hasDirection = false,
    ) {
    }
}
