<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/** The unit that a bare number is read in, and that lengths are printed in. */
enum LengthUnit: string
{
    case Inch = 'in';
    case Millimetre = 'mm';
}
