<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** Something that is taken at one place of a round and put down at another. */
final readonly class Carry
{
    /**
     * @param int $from number of the place where it is taken
     * @param int $to number of the place where it is put
     * @param int $things how many things it is
     * @param bool $isInHand whether it was taken already
     */
    public function __construct(public int $from, public int $to, public int $things = 1, public bool $isInHand = false)
    {
    }
}
