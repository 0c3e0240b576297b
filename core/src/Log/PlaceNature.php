<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** What a place is to the log. Only an outside place may be owed things. */
enum PlaceNature: string
{
    case Storage = 'storage';
    case Tray = 'tray';
    case Unfiled = 'unfiled';
    case Outside = 'outside';

    public function isInside(): bool
    {
        return self::Outside !== $this;
    }
}
