<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use Lottel\Core\Catalogue\Kind;

/** One thing of a supply list. */
final readonly class Supply
{
    /**
     * @param int $used 0 for what was worked with and went home
     * @param int|null $cents what that cost, where a price is known
     */
    public function __construct(
        public int $item,
        public string $name,
        public string $maker,
        public Kind $kind,
        public string $colourName,
        public ?string $colour,
        public int $used,
        public string $quantity,
        public ?int $cents,
    ) {
    }
}
