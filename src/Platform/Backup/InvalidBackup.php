<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Steps\Refusal;

/** A file that is no backup which could be brought back; the message tells a person why. */
final class InvalidBackup extends \RuntimeException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function cannotBeRead(): self
    {
        return new self('The file cannot be read.');
    }

    public static function isForeign(): self
    {
        return new self('This is no backup of Lottel, or its end is missing.');
    }

    public static function isDamaged(): self
    {
        return new self('This backup is damaged: it is not as it was written. Take another copy of it, or an older one.');
    }

    public static function isNewer(): self
    {
        return new self('This backup was made by a newer Lottel. Upgrade first, then bring it back.');
    }

    public static function doesNotFit(int $bytes): self
    {
        return new self(\sprintf('Unpacked it takes %s MB, and there is no room for that on the disk.', number_format($bytes / 1_000_000, 1)));
    }
}
