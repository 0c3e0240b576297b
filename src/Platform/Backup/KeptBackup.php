<?php

declare(strict_types=1);

namespace App\Platform\Backup;

/** A backup in the room's folder, as its name tells of it. */
final readonly class KeptBackup
{
    public function __construct(public string $name, public \DateTimeImmutable $madeAt, public BackupReason $reason, public int $bytes)
    {
    }

    public function megabytes(): string
    {
        return number_format($this->bytes / 1_000_000, 1);
    }
}
