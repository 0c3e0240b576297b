<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** For what a piece has no paper. */
enum MissingReason: string
{
    case NoneIsFree = 'none';
    case TooSmall = 'too small';
    case NotEnough = 'not enough';
    case TooLong = 'too long';
    case StripIsTooNarrow = 'strip';
}
