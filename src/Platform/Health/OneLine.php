<?php

declare(strict_types=1);

namespace App\Platform\Health;

use Monolog\Formatter\LineFormatter;

/** A line for a terminal: how bad, what, and of which request. */
final class OneLine extends LineFormatter
{
    public function __construct()
    {
        parent::__construct("[%level_name%] %message% %extra.request%\n", null, false, true);
    }
}
