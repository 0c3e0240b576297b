<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

/** A basket in which new things are in sight until they have been used a few times (common practice, no source). */
final readonly class NewBasket
{
    /** @param int $after how often a thing is used before it is filed */
    public function __construct(private int $after)
    {
    }

    public function isDone(int $uses): bool
    {
        return $uses >= $this->after;
    }
}
