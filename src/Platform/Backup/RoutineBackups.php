<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** The backups that Lottel makes by itself: one on each day on which something was written, and one before each upgrade of the room’s file. */
final readonly class RoutineBackups
{
    private const A_DAY = 20 * 3600;

    public function __construct(
        private Backups $backups,
        private MakeBackup $make,
        private LastChange $change,
        private Connection $database,
        private ClockInterface $clock,
        private string $projectDir,
    ) {
    }

    /**
     * Makes one, if the last one is of another day and the room has been changed since.
     *
     * @throws BackupFailed if it could not be made
     */
    public function daily(): ?BackupFile
    {
        // A clock that was wrong for a while leaves backups of the future behind: they say nothing of today.
        $last = $this->backups->newest($this->clock->now());
        $isFresh = null !== $last && $this->clock->now()->getTimestamp() - $last->madeAt->getTimestamp() < self::A_DAY;

        return $isFresh || !$this->isFurnished() || $this->isKept($last) ? null : ($this->make)(BackupReason::Daily);
    }

    /**
     * Makes one, if the room's file is of an earlier version than this program, and what is in it is in no backup yet.
     *
     * @throws BackupFailed if it could not be made
     */
    public function beforeMigration(): ?BackupFile
    {
        $isWanted = $this->isFurnished() && $this->isBehind() && !$this->isKept($this->backups->newest($this->clock->now()));

        return $isWanted ? ($this->make)(BackupReason::Migration) : null;
    }

    /**
     * Makes one, whatever is to be done to the room; null where there is nothing in it yet.
     *
     * @throws BackupFailed if it could not be made
     */
    public function before(BackupReason $reason): ?BackupFile
    {
        return $this->isFurnished() ? ($this->make)($reason) : null;
    }

    private function isFurnished(): bool
    {
        try {
            return false !== $this->database->fetchOne('SELECT 1 FROM account LIMIT 1');
        } catch (\Doctrine\DBAL\Exception) {
            return false;
        }
    }

    private function isBehind(): bool
    {
        $done = $this->database->fetchFirstColumn('SELECT version FROM doctrine_migration_versions');

        return \count($done) < \count(glob($this->projectDir.'/migrations/Version*.php') ?: []);
    }

    /** Whether all that was written is in a backup. */
    private function isKept(?KeptBackup $backup): bool
    {
        $changed = $this->change->at();

        return null !== $backup && null !== $changed && $changed <= $backup->madeAt;
    }
}
