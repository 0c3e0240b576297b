<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** Which places were over-full when the log and the records had come so far. */
final readonly class KnownFullness
{
    /**
     * @param array{int, string, int, string} $mark the last line of the log and the last change of a record, each with its request
     * @param list<int> $overFull
     */
    public function __construct(public array $mark, public array $overFull)
    {
    }
}
