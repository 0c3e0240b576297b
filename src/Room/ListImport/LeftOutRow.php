<?php

declare(strict_types=1);

namespace App\Room\ListImport;

/** A row that looks as if it stood between things, what it looks like, and whether a person has said that it is a thing. */
final readonly class LeftOutRow
{
    public function __construct(public int $row, public string $what, public string $text, public bool $isThing)
    {
    }
}
