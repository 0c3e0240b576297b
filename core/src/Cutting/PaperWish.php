<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Colour\Difference;

/** Out of what a piece may be cut. */
enum PaperWish: string
{
    /** This paper, in any size, and its scraps. */
    case This = 'this';
    /** Any paper that is near it in colour and weight, and their scraps. */
    case Near = 'near';
    /** Scraps of such papers only; no sheet is cut into. */
    case Scraps = 'scraps';

    /** Returns up to which ΔE00 another colour will do. */
    public function tolerance(): float
    {
        return self::This === $this ? Difference::UNSEEN : Difference::PASSES;
    }

    public function inWords(): string
    {
        return match ($this) {
            self::This => 'this paper',
            self::Near => 'any near its colour and weight',
            self::Scraps => 'scraps only',
        };
    }
}
