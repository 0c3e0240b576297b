<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Lost;

/** A place where a lost thing may be. */
final readonly class LikelyPlace
{
    /**
     * @param int $place its number, 0 for all places that no clue points at
     * @param float $chance from 0 to 1
     * @param list<Clue> $clues
     * @param int $looks how often it was looked into in vain
     */
    public function __construct(public int $place, public float $chance, public array $clues, public int $looks)
    {
    }
}
