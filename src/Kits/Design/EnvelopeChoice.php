<?php

declare(strict_types=1);

namespace App\Kits\Design;

use Lottel\Core\Design\EnvelopeFit;
use Lottel\Core\Measure\Size;

/** An envelope of the room, and whether it takes a card. */
final readonly class EnvelopeChoice
{
    /** @param int $free how many no other kit waits for */
    public function __construct(
        public int $item,
        public string $name,
        public Size $size,
        public ?string $colour,
        public ?string $address,
        public ?int $homeId,
        public int $free,
        public EnvelopeFit $fit,
    ) {
    }
}
