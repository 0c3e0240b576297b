<?php

declare(strict_types=1);

namespace Lottel\Core\Proposal;

/** What a thing is in a proposal. */
enum PartOfCard: string
{
    case Stamps = 'stamps';
    case Panel = 'panel';
    case Mat = 'mat';
    case Ink = 'ink';
    case Embellishment = 'embellishment';
}
