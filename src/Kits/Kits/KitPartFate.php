<?php

declare(strict_types=1);

namespace App\Kits\Kits;

/** What becomes of what hangs on a kit when it is deleted. */
enum KitPartFate
{
    case GoesWithIt;
    case LetsGo;
    case KeepsIt;
}
