<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use Lottel\Core\Upkeep\Safe\BackupAge;
use Symfony\Component\Clock\ClockInterface;

/** How old this room's last backup is. */
final readonly class AgeOfBackup
{
    public function __construct(private Backups $backups, private LastChange $change, private ClockInterface $clock)
    {
    }

    public function now(): BackupAge
    {
        return BackupAge::of($this->backups->newest()?->madeAt, $this->change->at(), $this->clock->now());
    }
}
