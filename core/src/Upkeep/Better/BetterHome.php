<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

/** One move of a plan: what moves from where to where, what that saves, and why. */
final readonly class BetterHome
{
    /**
     * @param float $saves seconds a month, below 0 where it only makes room for another
     * @param list<string> $reasons in words
     */
    public function __construct(public Household $household, public HomePlace $from, public HomePlace $to, public float $saves, public array $reasons)
    {
    }
}
