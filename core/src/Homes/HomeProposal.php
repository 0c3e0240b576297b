<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

/** A home that is proposed, how good it is from 0 to 1, and why. */
final readonly class HomeProposal
{
    /** @param list<string> $reasons */
    public function __construct(public string $address, public float $worth, public array $reasons)
    {
    }
}
