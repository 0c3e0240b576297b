<?php

declare(strict_types=1);

namespace Lottel\Core\Proposal;

/** Proposals with some of their parts swapped, and the parts for which nothing else lies idle. */
final readonly class SwappedProposals
{
    /**
     * @param list<Proposal> $proposals
     * @param list<array{int, PartOfCard}> $stayed which proposal, from 0, and which part of it
     */
    public function __construct(public array $proposals, public array $stayed)
    {
    }
}
