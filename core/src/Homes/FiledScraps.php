<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Colour\Lab;

/** Scraps of one paper that live in one place, or a scrap that looks for one. */
final readonly class FiledScraps
{
    /** @param int|null $place where they live; null of one that looks for a home */
    public function __construct(
        public ?int $place,
        public ?int $paper,
        public ?Lab $colour,
        public string $maker,
        public string $collection,
        public int $quantity = 1,
    ) {
    }
}
