<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

/** What was found to be there twice. */
final readonly class FoundDoubles
{
    /** @param list<array{int, int, string}> $pairs two things, and in which way they are like each other */
    public function __construct(public array $pairs)
    {
    }
}
