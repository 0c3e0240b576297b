<?php

declare(strict_types=1);

namespace App\Room\Find;

/** How many would be found with each value of each filter, all other filters as they are. */
final readonly class FoundCounts
{
    /**
     * @param array<string, int> $kind
     * @param array<string, int> $theme
     * @param array<string, int> $state
     * @param array<int, int> $unused by months
     */
    public function __construct(public array $kind, public array $theme, public array $state, public array $unused)
    {
    }
}
