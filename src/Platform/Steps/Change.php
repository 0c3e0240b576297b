<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** What happened to a row. */
enum Change: string
{
    case Insert = 'insert';
    case Update = 'update';
    case Delete = 'delete';
}
