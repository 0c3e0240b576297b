<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

/** A piece of furniture where it stands on the floor plan. */
final readonly class StandingUnit
{
    /**
     * @param int $widthMm along the wall
     * @param float $uses how often a month something in it is fetched
     * @param float $walk seconds from the bench to it and back, doors included
     */
    public function __construct(public int $id, public string $letters, public int $widthMm, public int $depthMm, public float $uses, public float $walk)
    {
    }
}
