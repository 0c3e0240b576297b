<?php

declare(strict_types=1);

namespace App\Platform\Security;

/** An owner does everything; a helper pulls, makes and returns. */
enum Role: string
{
    case Owner = 'owner';
    case Helper = 'helper';
}
