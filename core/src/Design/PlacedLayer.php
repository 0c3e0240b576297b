<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** A layer with its size, and where it lies on the front of its card. */
final readonly class PlacedLayer
{
    /** @param Rect|null $window of a frame, as it lies on the front */
    public function __construct(public int $index, public Layer $layer, public Rect $at, public ?Rect $window)
    {
    }
}
