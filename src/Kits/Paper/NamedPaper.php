<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/** A paper to choose from. */
final readonly class NamedPaper
{
    public function __construct(public int $id, public string $name)
    {
    }
}
