<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

/** The stocks of a room. */
final readonly class Stocks
{
    /** @param list<StockRow> $rows those that are to be ordered soonest first */
    public function __construct(public array $rows)
    {
    }
}
