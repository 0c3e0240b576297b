<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** The one thing for which a scrap will not do. */
enum MissReason: string
{
    case Size = 'size';
    case Colour = 'colour';
    case Weight = 'weight';
    case Direction = 'direction';
}
