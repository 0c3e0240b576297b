<?php

declare(strict_types=1);

namespace App\Platform\Health;

use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** How long one page took lately. */
#[Exclude]
final readonly class PageTime
{
    private function __construct(public string $page, public int $times, public int $usual, public int $slow, public int $megabytes)
    {
    }

    /**
     * @param non-empty-list<int> $milliseconds
     * @param non-empty-list<int> $megabytes
     */
    public static function of(string $page, array $milliseconds, array $megabytes): self
    {
        sort($milliseconds);
        $last = \count($milliseconds) - 1;

        return new self(
            $page,
            \count($milliseconds),
            $milliseconds[(int) ceil(0.5 * $last)],
            $milliseconds[(int) ceil(0.95 * $last)],
            max($megabytes),
        );
    }
}
