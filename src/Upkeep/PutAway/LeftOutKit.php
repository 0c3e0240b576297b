<?php

declare(strict_types=1);

namespace App\Upkeep\PutAway;

use App\Kits\Kits\KitRow;
use App\Kits\Kits\TrayRow;
use Lottel\Core\Upkeep\PutAway\Age;

/** A kit whose things are out: for how long, and what of it has a home. */
final readonly class LeftOutKit
{
    /** @param list<TrayRow> $things */
    public function __construct(public KitRow $kit, public Age $age, public bool $isFolder, public array $things)
    {
    }

    public function isOld(): bool
    {
        return $this->age->isOldTray($this->isFolder) || $this->kit->due->isLate;
    }

    /** How many of its things can go home. */
    public function homed(): int
    {
        return \count(array_filter($this->things, static fn (TrayRow $row): bool => null !== $row->thing->homeId));
    }

    public function homeless(): int
    {
        return \count($this->things) - $this->homed();
    }
}
