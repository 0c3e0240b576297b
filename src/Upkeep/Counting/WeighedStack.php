<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

/** What the scale says of a stack. */
final readonly class WeighedStack
{
    /** @param int|null $sheets null where it could not be weighed */
    public function __construct(public int $paper, public ?int $sheets, public string $words)
    {
    }
}
