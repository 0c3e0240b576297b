<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Kits\Kits\Need;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\RoundWords;
use Lottel\Core\Kit\Stage;

/** All is pulled that is to be had; the kit goes to the bench. */
final readonly class EndPull
{
    /** Returns what is on the tray, in words. */
    public function __invoke(Kit $kit): string
    {
        $kit->goTo(Stage::Making);
        $lines = array_map(static fn (Need $need): NeedState => $need->state(), $kit->needs->toArray());

        return RoundWords::onTray($kit->trayInUse()->address, array_values($lines));
    }
}
