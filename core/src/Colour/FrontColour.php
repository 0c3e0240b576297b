<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** A colour of a front with its name, and how much of what is seen it has, from 0 to 1. */
final readonly class FrontColour
{
    public function __construct(public string $name, public Srgb $colour, public float $share)
    {
    }

    public function isNeutral(): bool
    {
        return Family::Neutral === Family::of($this->colour);
    }

    /** Whether it is warm: from pink over red to yellow; neither warm nor cool is what has no hue (common practice, no source). */
    public function isWarm(): bool
    {
        $hue = OkLch::of($this->colour)->h;

        return !$this->isNeutral() && ($hue >= 330 || $hue < 112);
    }

    /** Returns how far it is from grey: its chroma in OKLCh. */
    public function strength(): float
    {
        return OkLch::of($this->colour)->c;
    }

    /** Returns its share in words, such as “a tenth” or “more than half”. */
    public function shareInWords(): string
    {
        return match (true) {
            $this->share >= 0.85 => 'nearly all',
            $this->share >= 0.55 => 'more than half',
            $this->share >= 0.45 => 'half',
            $this->share >= 0.29 => 'a third',
            $this->share >= 0.225 => 'a quarter',
            $this->share >= 0.15 => 'a fifth',
            $this->share >= 0.075 => 'a tenth',
            default => 'a touch',
        };
    }
}
