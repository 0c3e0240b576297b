<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Kits\NeedRow;

/** A line of a list of which some is in no drawer, and where it is instead. */
final readonly class NowhereRow
{
    /** @param list<array<string, mixed>> $where */
    public function __construct(public NeedRow $line, public int $missing, public array $where)
    {
    }
}
