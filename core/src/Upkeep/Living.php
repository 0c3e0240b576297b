<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/** A thing with its home, how often it is fetched in a month, and where else it may live. */
final readonly class Living
{
    /**
     * @param int $place number of its home
     * @param float $uses a month, 0 or more
     * @param int $size as the room of places is counted, at least 1
     * @param list<int> $may numbers of places that it may move to; its own is always allowed
     */
    public function __construct(public int $place, public float $uses, public int $size, public array $may)
    {
    }
}
