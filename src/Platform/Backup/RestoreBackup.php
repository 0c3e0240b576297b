<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Database\OnlineBackup;
use App\Platform\Database\RoomUnavailable;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Filesystem\Filesystem;

/**
 * Brings a backup back in place of the room that is here. The file is looked over before anything is touched, the room that is here is kept
 * aside, and the database changes from the one to the other at once.
 */
final readonly class RestoreBackup
{
    /** Files of an installation that are brought along only where there are none yet. */
    private const FIRST_ONLY = ['scale.json', 'tape-printer.json'];

    /** Certificates belong to a machine; earlier backups have them and they are left where they are. */
    private const NEVER = 'tls/';

    public function __construct(
        private string $dataDir,
        private string $projectDir,
        private Backups $backups,
        private BackupLock $lock,
        private MakeBackup $make,
        private ClockInterface $clock,
        private CacheItemPoolInterface $cache,
        private Filesystem $files = new Filesystem(),
    ) {
    }

    /**
     * Reads a backup and looks at every byte of it.
     *
     * @throws InvalidBackup if it is damaged, foreign or newer
     */
    public function look(string $path): BackupFile
    {
        $backup = BackupFile::at($path);
        if ($this->isNewer($backup->manifest->schema)) {
            throw InvalidBackup::isNewer();
        }
        $backup->check();

        return $backup;
    }

    /**
     * @param BackupFile $backup that look() has found to be whole
     *
     * What is in it is looked over first, and is refused as InvalidBackup if it is no whole room
     *
     * @throws BackupFailed if it cannot be brought back; the room is as it was then
     */
    public function __invoke(BackupFile $backup): BroughtBack
    {
        return $this->lock->hold(function () use ($backup): BroughtBack {
            $aside = $this->dataDir.'/.restore-'.bin2hex(random_bytes(6));
            $this->files->mkdir($aside, 0o700);
            try {
                $backup->unpack($aside);
                $this->checkDatabase($aside.'/'.Manifest::DATABASE, $backup->manifest);
                $kept = $this->keepAside();
                $room = $this->dataDir.'/room.sqlite';
                $stayOut = StayOut::of($room);
                $this->bringFiles($aside, $backup->manifest);
                $this->bringDatabase($aside.'/'.Manifest::DATABASE);

                // What was worked out of the other state is not true of this one.
                $this->cache->clear();

                return new BroughtBack($kept, $stayOut->again($room));
            } finally {
                $this->files->remove($aside);
            }
        });
    }

    /** Whether a room of that schema has to be brought up to this version after it is back. */
    public function isEarlier(string $schema): bool
    {
        $versions = array_map(static fn (string $file): string => basename($file, '.php'), glob($this->projectDir.'/migrations/Version*.php') ?: []);

        return [] !== $versions && max($versions) !== substr($schema, (int) strrpos('\\'.$schema, '\\'));
    }

    private function isNewer(string $schema): bool
    {
        return !is_file($this->projectDir.'/migrations/'.substr($schema, (int) strrpos('\\'.$schema, '\\')).'.php');
    }

    private function checkDatabase(string $database, Manifest $manifest): void
    {
        try {
            $isOurs = $manifest->schema === OnlineBackup::ask($database, 'SELECT max(version) FROM doctrine_migration_versions');
        } catch (\Exception) {
            $isOurs = false;
        }
        if (!$isOurs || !OnlineBackup::isWhole($database)) {
            throw InvalidBackup::isDamaged();
        }
    }

    /** A room that is whole is kept as a backup; of one that is not, its files are set aside as they are. */
    private function keepAside(): ?string
    {
        $room = $this->dataDir.'/room.sqlite';
        if (!is_file($room) || 0 === filesize($room)) {
            return null;
        }
        try {
            return $this->make->make(BackupReason::Restore)->path;
        } catch (BackupFailed) {
            $folder = $this->backups->folder().'/aside-'.$this->clock->now()->format('Y-m-d-His').'-'.bin2hex(random_bytes(2));
            $this->files->mkdir($folder, 0o700);
            foreach (['', '-wal', '-shm'] as $end) {
                if (is_file($room.$end)) {
                    $this->files->copy($room.$end, "{$folder}/room.sqlite{$end}");
                }
            }

            return $folder;
        }
    }

    private function bringFiles(string $aside, Manifest $manifest): void
    {
        foreach (array_keys($manifest->files) as $name) {
            if (str_starts_with($name, self::NEVER)) {
                continue;
            }
            $isThere = is_file($this->dataDir.'/'.$name);
            if (Manifest::DATABASE !== $name && !($isThere && (\in_array($name, self::FIRST_ONLY, true) || str_starts_with($name, 'photos/')))) {
                $this->files->copy($aside.'/'.$name, $this->dataDir.'/'.$name.'.new', true);
                $this->files->chmod($this->dataDir.'/'.$name.'.new', 0o600);
                $this->files->rename($this->dataDir.'/'.$name.'.new', $this->dataDir.'/'.$name, true);
            }
        }
    }

    private function bringDatabase(string $database): void
    {
        $room = $this->dataDir.'/room.sqlite';
        try {
            OnlineBackup::copy($database, $room);
        } catch (RoomUnavailable|\RuntimeException $error) {
            if (is_file($room) && OnlineBackup::isWhole($room)) {
                throw BackupFailed::couldNotBeBroughtBack($error->getMessage());
            }
            // A damaged file cannot be written over page by page; it is kept aside already.
            $this->files->copy($database, $room.'.new', true);
            $this->files->remove([$room.'-wal', $room.'-shm']);
            $this->files->rename($room.'.new', $room, true);
        }
    }
}
