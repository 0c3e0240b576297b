<?php

declare(strict_types=1);

namespace App\Health;

use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** How long one page took lately. */
#[Exclude]
final readonly class PageTime
{
    public function __construct(public string $page, public int $times, public int $usual, public int $slow, public int $megabytes)
    {
    }
}
