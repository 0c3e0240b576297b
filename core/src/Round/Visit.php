<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** One stop of a round on which things are carried from place to place. */
final readonly class Visit
{
    /**
     * @param int $place its number
     * @param list<int> $takes numbers of the carries that are taken here
     * @param list<int> $puts numbers of the carries that are put here
     */
    public function __construct(public int $place, public array $takes, public array $puts)
    {
    }
}
