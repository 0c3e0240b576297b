<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** What becomes of a part when a sheet has been cut. */
enum PartFate: string
{
    case Piece = 'piece';
    case Offcut = 'offcut';
    case Waste = 'waste';
}
