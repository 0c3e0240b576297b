<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

use Lottel\Core\Catalogue\PastedThing;

/** One typed line about a new thing: what it becomes, and what of it cannot be read. */
final readonly class PastedLine
{
    /**
     * @param int $number of the line, from 1, empty ones counted
     * @param PastedThing $thing as far as the line can be read
     * @param array<string, string> $wrong what is wrong, by cell: name, quantity, colour, size or weight
     * @param array<string, string> $typed what stands in the cells that are wrong
     */
    public function __construct(public int $number, public string $line, public PastedThing $thing, public array $wrong, public array $typed)
    {
    }

    public function isRight(): bool
    {
        return [] === $this->wrong;
    }

    /** What is wrong with it, in sentences. */
    public function inWords(): string
    {
        return implode(' ', array_values($this->wrong));
    }
}
