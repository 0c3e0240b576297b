<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\PutAway;

/**
 * A thing that has no home: what is moved around and around is to be used, homed, or given away (common practice, no source).
 */
final readonly class Homeless
{
    /** Moved so often in three months, it is moved around and around. */
    private const OFTEN = 3;

    /**
     * @param int $moved how often it was moved in the last three months
     * @param int $days since it came in
     */
    public function __construct(public int $item, public int $moved, public int $days)
    {
    }

    public function isMovedAround(): bool
    {
        return $this->moved >= self::OFTEN;
    }

    /**
     * Returns those that ask for a home most: what is moved most, then what has waited longest.
     *
     * @param list<self> $things
     *
     * @return list<self>
     */
    public static function inOrder(array $things): array
    {
        usort($things, static fn (self $a, self $b): int => [$b->moved, $b->days, $a->item] <=> [$a->moved, $a->days, $b->item]);

        return $things;
    }
}
