<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Steps\Refusal;

/** A backup could not be made, or not be brought back; the room itself is as it was. */
final class BackupFailed extends \RuntimeException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function cannotBeWritten(string $file): self
    {
        return new self("The backup could not be written to {$file}. Is there room on the disk, and may Lottel write there?");
    }

    public static function roomIsDamaged(): self
    {
        return new self('The room’s file is damaged, so no backup was made of it. The last good backup is still there: bring it back with bin/restore.');
    }

    public static function thereIsNoRoom(): self
    {
        return new self('There is no room here yet.');
    }

    public static function isRunning(): self
    {
        return new self('A backup is being made or brought back just now. Wait until it is done.');
    }

    public static function isGone(): self
    {
        return new self('This backup is not there any more.');
    }

    public static function isOfAnEarlierVersion(): self
    {
        return new self('This backup is of an earlier version of Lottel. Bring it back on the machine itself: that also makes the room newer.');
    }

    public static function isNewest(): self
    {
        return new self('This is the newest backup. Make another one before you throw it away.');
    }

    public static function couldNotBeBroughtBack(string $why): self
    {
        return new self("The backup could not be brought back, and the room is as it was: {$why}");
    }
}
