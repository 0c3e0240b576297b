<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A point between whole numbers: both coordinates over one denominator above nought. */
final readonly class Corner
{
    public function __construct(public int|float $x, public int|float $y, public int|float $of)
    {
    }
}
