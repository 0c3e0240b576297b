<?php

declare(strict_types=1);

namespace App\Room\Log;

use Lottel\Core\Log\Movement;

/** A movement as it stands in the log. */
final readonly class LogLine
{
    public function __construct(public int $id, public Movement $movement, public ?int $kitId, public ?int $reversesId)
    {
    }
}
