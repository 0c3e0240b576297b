<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/** A label as it is to be drawn, in true size. */
final readonly class LabelDrawing
{
    /** @param list<LabelMark> $marks */
    public function __construct(public LabelSize $size, public bool $isRound, public array $marks)
    {
    }
}
