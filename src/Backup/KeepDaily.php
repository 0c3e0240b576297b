<?php

declare(strict_types=1);

namespace App\Backup;

use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** The backups that Lottel makes by itself: one on each day on which something was written, and one before each upgrade of the room’s file. */
final readonly class KeepDaily
{
    private const A_DAY = 20 * 3600;

    public function __construct(
        private Backups $backups,
        private MakeBackup $make,
        private Connection $database,
        private ClockInterface $clock,
        private string $dataDir,
        private string $projectDir,
    ) {
    }

    /**
     * Makes one, if the last one is of another day and the room has been changed since.
     *
     * @throws BackupFailed if it could not be made
     */
    public function __invoke(): ?BackupFile
    {
        $last = $this->backups->newest();
        $isFresh = null !== $last && $this->clock->now()->getTimestamp() - $last->madeAt->getTimestamp() < self::A_DAY;

        return $isFresh || !$this->isFurnished() || !$this->hasChangedSince($last) ? null : ($this->make)(BackupReason::Daily);
    }

    /**
     * Makes one, if the room's file is of an earlier version than this program.
     *
     * @throws BackupFailed if it could not be made
     */
    public function beforeMigration(): ?BackupFile
    {
        if (!is_file($this->dataDir.'/room.sqlite') || !$this->isFurnished()) {
            return null;
        }
        $done = $this->database->fetchFirstColumn('SELECT version FROM doctrine_migration_versions');

        return \count($done) < \count(glob($this->projectDir.'/migrations/Version*.php') ?: []) ? ($this->make)(BackupReason::Migration) : null;
    }

    private function isFurnished(): bool
    {
        try {
            return false !== $this->database->fetchOne('SELECT 1 FROM account LIMIT 1');
        } catch (\Doctrine\DBAL\Exception) {
            return false;
        }
    }

    private function hasChangedSince(?KeptBackup $last): bool
    {
        $at = $this->database->fetchOne('SELECT max(at) FROM write_request');

        return null === $last || !\is_string($at) || $at > $last->madeAt->format('Y-m-d H:i:s');
    }
}
