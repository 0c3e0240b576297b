<?php

declare(strict_types=1);

namespace App\Platform\Backup;

/** Why a backup was made. */
enum BackupReason: string
{
    case Asked = 'asked';
    case Daily = 'daily';
    case Migration = 'before-migration';
    case Restore = 'before-restore';
    case Import = 'before-import';

    /** How many of them are kept; those that somebody asked for are never thrown away by Lottel itself. */
    public function kept(): ?int
    {
        return match ($this) {
            self::Asked => null,
            self::Daily => 14,
            default => 5,
        };
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Asked => 'asked for',
            self::Daily => 'made by itself',
            self::Migration => 'before an upgrade',
            self::Restore => 'before another was brought back',
            self::Import => 'before a room was read in',
        };
    }
}
