<?php

declare(strict_types=1);

namespace App\Platform\Backup;

/** Only one backup of a room is made or brought back at a time. */
final readonly class BackupLock
{
    public function __construct(private Backups $backups)
    {
    }

    /**
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     *
     * @throws BackupFailed if another is at it, or the folder cannot be written to
     */
    public function hold(callable $work): mixed
    {
        $folder = $this->backups->folder();
        $handle = is_dir($folder) || @mkdir($folder, 0o700, true) || is_dir($folder) ? @fopen($folder.'/.lock', 'c') : false;
        if (false === $handle) {
            throw BackupFailed::cannotBeWritten($folder);
        }
        if (!flock($handle, \LOCK_EX | \LOCK_NB)) {
            throw BackupFailed::isRunning();
        }
        // Whoever was killed in the middle has left a copy behind; nobody else is at it now.
        $this->backups->clearLeftovers();
        try {
            return $work();
        } finally {
            flock($handle, \LOCK_UN);
            fclose($handle);
        }
    }
}
