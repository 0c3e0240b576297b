<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

use Lottel\Core\Measure\Length;

/** Walls as they are drawn, in the order in which one walks past them. */
final readonly class DrawnRoom
{
    /** Pixels to a millimetre; a drawer of 90 mm is then 5 pixels high. */
    private const LEAST_SCALE = 0.056;

    /**
     * @param float $scale pixels to a tick
     * @param list<DrawnRow> $rows
     */
    public function __construct(public float $scale, public array $rows)
    {
    }

    /** Whether drawers can be told apart in it. */
    public function isLegible(): bool
    {
        return $this->scale * Length::TICKS_PER_MILLIMETRE >= self::LEAST_SCALE;
    }
}
