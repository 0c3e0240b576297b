<?php

declare(strict_types=1);

namespace App\Kits\Making;

/** Something of which the bench took another amount for each than the design says. */
final readonly class UsedOtherwise
{
    public function __construct(public int $item, public string $name, public int $each, public int $designed)
    {
    }
}
