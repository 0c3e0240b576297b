<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

/** Pieces, one after the other, that are equally far. */
final readonly class PiecesAlike
{
    /**
     * @param int $first counted from 1
     * @param bool $isBegun whether anything was used for them
     * @param list<string> $wants what they still want
     */
    public function __construct(public int $first, public int $many, public bool $isDone, public bool $isBegun, public array $wants)
    {
    }

    public function last(): int
    {
        return $this->first + $this->many - 1;
    }
}
