<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/** Widths of label tape, in millimetres. */
enum Tape: int
{
    case Six = 6;
    case Nine = 9;
    case Twelve = 12;
    case Eighteen = 18;
    case TwentyFour = 24;

    /** The height of a label on it, in tenths of a millimetre. */
    public function height(): int
    {
        return 10 * $this->value;
    }
}
