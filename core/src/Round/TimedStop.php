<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

use Lottel\Core\Furniture\Access;

/** A stop with what its time hangs on: where one stands before it, how high it is, how it opens, and how much is handled there. */
final readonly class TimedStop
{
    /**
     * @param int $heightMm of its middle above the floor
     * @param int $layers layers that lie on it
     * @param int $things different things that are taken, or put down
     */
    public function __construct(public Point $stand, public int $heightMm, public Access $access, public int $layers, public int $things)
    {
    }
}
