<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** What a thing is for in a design. */
enum ThingRole: string
{
    case Envelope = 'envelope';
    case Foam = 'foam';
    case Beside = 'beside';
}
