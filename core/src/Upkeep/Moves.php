<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/** A few moves that save seconds, with what is proven about them. */
final readonly class Moves
{
    /**
     * @param array<int, int> $to new homes, by the number of the thing; those that stay are not in it
     * @param float $before seconds a month as it is
     * @param float $after seconds a month when they are carried out
     * @param float $bound no plan comes below this
     */
    public function __construct(public array $to, public float $before, public float $after, public float $bound, public bool $isOptimal)
    {
    }
}
