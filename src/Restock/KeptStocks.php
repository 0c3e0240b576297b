<?php

declare(strict_types=1);

namespace App\Restock;

/** The stocks as they were found when the log and the records had come so far, on a day. */
final readonly class KeptStocks
{
    /**
     * @param array{array{int, string, int, string}, string} $mark
     * @param list<StockRow> $stocks
     */
    public function __construct(public array $mark, public array $stocks)
    {
    }
}
