<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use Lottel\Core\Cutting\MissReason;
use Lottel\Core\Cutting\NearMiss;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;

/** A piece of paper that would do but for one thing. */
final readonly class PieceMiss
{
    public function __construct(public PaperRow $paper, private NearMiss $miss)
    {
    }

    /** Why it will not do, such as `too small by ¼ in`. */
    public function why(LengthFormat $lengths): string
    {
        return match ($this->miss->why) {
            MissReason::Size => null === $this->miss->short
                ? 'its outline has no room for it'
                : 'too small by '.$lengths->full(Length::ofTicks($this->miss->short)),
            MissReason::Colour => null === $this->miss->difference
                ? 'nobody has said its colour'
                : \sprintf('another colour: ΔE %.0f away', $this->miss->difference),
            MissReason::Weight => null === $this->paper->sheet->weight
                ? 'nobody has said its weight'
                : 'another weight: '.$this->paper->sheet->weight->inWords(),
            MissReason::Direction => 'its pattern or grain runs the other way',
        };
    }
}
