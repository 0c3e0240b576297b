<?php

declare(strict_types=1);

namespace App\Backup;

use App\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Safe\BackupAge;
use Symfony\Component\Clock\ClockInterface;

/** How old this room's last backup is. */
final readonly class AgeOfBackup
{
    public function __construct(private Backups $backups, private Connection $database, private ClockInterface $clock)
    {
    }

    public function now(): BackupAge
    {
        $changed = Row::word($this->database->fetchOne('SELECT max(at) FROM movement'));

        return BackupAge::of(
            $this->backups->newest()?->madeAt,
            '' === $changed ? null : new \DateTimeImmutable($changed, new \DateTimeZone('UTC')),
            $this->clock->now(),
        );
    }
}
