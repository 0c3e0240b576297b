<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** What was found among scraps: those that will do, best first, and those that fail in one thing alone. */
final readonly class FoundScraps
{
    /**
     * @param list<ScrapMatch> $matches
     * @param list<NearMiss> $near in the order of their ids
     */
    public function __construct(public array $matches, public array $near)
    {
    }
}
