<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\NeedRow;

/** A line of a list at a stop: how much of it is to be taken there, of how much. */
final readonly class TakeRow
{
    public function __construct(public NeedRow $line, public int $take, public int $there)
    {
    }
}
