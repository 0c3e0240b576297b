<?php

declare(strict_types=1);

namespace App\Room\Log;

/** A kit for which something moves, its tray, if it has one now, and the one that it is carried to. */
final readonly class ForKit
{
    public function __construct(public int $kit, public ?int $tray, public ?int $nextTray = null)
    {
    }
}
