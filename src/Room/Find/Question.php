<?php

declare(strict_types=1);

namespace App\Room\Find;

/** What is asked of the full-text index. */
final readonly class Question
{
    /**
     * @param list<string> $parts one for each word that was typed
     * @param array<string, list<string>> $instead words that were taken for misspelt ones
     */
    public function __construct(private array $parts, public array $instead)
    {
    }

    /** For what has all of the words; null where none was typed. */
    public function all(): ?string
    {
        return [] === $this->parts ? null : implode(' AND ', $this->parts);
    }

    /** For what has any of the words; null where that is the same. */
    public function any(): ?string
    {
        return \count($this->parts) < 2 ? null : implode(' OR ', $this->parts);
    }
}
