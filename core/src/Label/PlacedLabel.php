<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/** A label with its spot: page from 0, left upper corner in tenths of a millimetre. */
final readonly class PlacedLabel
{
    public function __construct(public LabelDrawing $drawing, public int $page, public int $left, public int $top)
    {
    }
}
