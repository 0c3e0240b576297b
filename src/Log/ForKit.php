<?php

declare(strict_types=1);

namespace App\Log;

/** A kit for which something moves, and its tray, if it has one now. */
final readonly class ForKit
{
    public function __construct(public int $kit, public ?int $tray)
    {
    }
}
