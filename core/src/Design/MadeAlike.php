<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Cards, pages or sets, one after the other, that are equally far. */
final readonly class MadeAlike
{
    /**
     * @param int $first counted from 1
     * @param list<int> $layers that lie on them, by number
     * @param string|null $next the step that they want first; null where none is left
     */
    public function __construct(public int $first, public int $many, public bool $isDone, public array $layers, public ?string $next)
    {
    }

    public function last(): int
    {
        return $this->first + $this->many - 1;
    }

    public function isBegun(): bool
    {
        return [] !== $this->layers;
    }
}
