<?php

declare(strict_types=1);

namespace App\Kits\Design;

use Lottel\Core\Design\CardSize;

/** A paper of which there are enough sheets for the bases of a card. */
final readonly class EnoughSheets
{
    /**
     * @param int $sheets how many it takes, in plain rows
     * @param int $free how many no kit waits for
     */
    public function __construct(
        public int $item,
        public string $name,
        public ?string $colour,
        public ?string $address,
        public CardSize $card,
        public int $sheets,
        public int $free,
    ) {
    }
}
