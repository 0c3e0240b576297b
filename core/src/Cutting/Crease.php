<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Measure\Size;

/** Where a piece is scored: a line across it at a distance from its left edge (along x) or its upper one. In ticks. */
final readonly class Crease
{
    public function __construct(public bool $isAlongX, public int $at)
    {
    }

    /** Whether the edge of a piece that it is measured from is the shorter one. */
    public function isFromShortEdge(Size $piece): bool
    {
        return $this->isAlongX === ($piece->width->ticks > $piece->height->ticks);
    }

    /** @return array{string, int} for keeping */
    public function kept(): array
    {
        return [$this->isAlongX ? 'x' : 'y', $this->at];
    }
}
