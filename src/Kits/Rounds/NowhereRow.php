<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\NeedRow;
use App\Room\Catalogue\WhereRow;

/** A line of which something is in no drawer: how much, and where it is instead. */
final readonly class NowhereRow
{
    /** @param list<WhereRow> $where */
    public function __construct(public NeedRow $line, public int $missing, public array $where)
    {
    }
}
