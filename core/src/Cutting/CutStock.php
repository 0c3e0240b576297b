<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** One piece of stock and how it is cut. */
final readonly class CutStock
{
    public function __construct(public int $stock, public Part $root)
    {
    }
}
