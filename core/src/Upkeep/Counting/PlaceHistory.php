<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Counting;

/** What is known of how right the log is about a place. */
final readonly class PlaceHistory
{
    /**
     * @param int $things that are in it
     * @param int $wrong lines that counts found to be wrong, in all
     * @param int $touched movements into and out of it that those counts looked back on
     * @param int $touchedSince movements since it was counted last, or ever
     * @param int|null $days since it was counted last; null where it never was
     */
    public function __construct(
        public int $place,
        public int $things,
        public int $wrong,
        public int $touched,
        public int $touchedSince,
        public ?int $days,
    ) {
    }
}
