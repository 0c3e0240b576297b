<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

/** How often a month something is fetched from each piece of furniture. */
final readonly class GoneTo
{
    /** @param array<int, float> $uses by unit */
    public function __construct(public array $uses)
    {
    }
}
