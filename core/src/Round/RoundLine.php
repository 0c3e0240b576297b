<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** One thing of a round at one place. Quantities as the thing is counted. */
final readonly class RoundLine
{
    /**
     * @param int $id of the line of the list, or of the thing where there is no list
     * @param int $quantity that is to be taken there, brought there, or counted
     * @param int $there how much is there now
     * @param bool $isForTheEnd whether it is heavy or hot: carried as short a way as can be
     */
    public function __construct(
        public int $id,
        public int $item,
        public string $name,
        public int $place,
        public int $quantity,
        public int $there = 0,
        public bool $isForTheEnd = false,
    ) {
    }
}
