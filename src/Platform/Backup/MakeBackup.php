<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Database\OnlineBackup;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Filesystem\Filesystem;

/** Puts the whole room into one file: the database as of one moment, the photos that it speaks of, and what belongs to the installation. */
final readonly class MakeBackup
{
    private const SETTINGS = [
        'secret',
        'scale.json',
        'tape-printer.json',
    ];
    /** Where photos are named; a room of an earlier version has not all of these. */
    private const PHOTOS = [['item', 'photo'], ['place', 'photo'], ['kit', 'sketch']];

    public function __construct(private string $dataDir, private Backups $backups, private BackupLock $lock, private ClockInterface $clock)
    {
    }

    /**
     * @param string|null $path where it is to be; in the room's own folder of backups where nothing is said
     * @param (callable(float): void)|null $tell is told how much is done, from 0 to 1
     *
     * @throws BackupFailed if it could not be made; what was there before is there still
     */
    public function __invoke(BackupReason $reason, ?string $path = null, ?callable $tell = null): BackupFile
    {
        return $this->lock->hold(fn (): BackupFile => $this->make($reason, $path, $tell));
    }

    /** Makes a backup without asking for the lock, for whoever holds it. */
    public function make(BackupReason $reason, ?string $path = null, ?callable $tell = null): BackupFile
    {
        if (!is_file($this->dataDir.'/room.sqlite')) {
            throw BackupFailed::thereIsNoRoom();
        }
        $tell ??= static function (): void {};
        $at = $this->clock->now();
        $path ??= $this->backups->newPath($at, $reason);
        $aside = \dirname($path).'/.lottel-'.bin2hex(random_bytes(6));
        if (!@mkdir($aside, 0o700, true)) {
            throw BackupFailed::cannotBeWritten($path);
        }
        try {
            $database = $this->snapshot($aside, $path);
            $tell(0.3);
            $files = ['room.sqlite' => $database] + $this->photos($database) + $this->settings();
            $manifest = $this->manifest($at, $reason, $database, $files);
            $share = static function (float $done) use ($tell): void {
                $tell(0.4 + 0.6 * $done);
            };
            $made = BackupFile::write($aside.'/backup.zip', $manifest, $files, $share);
            chmod($made->path, 0o600);
            if (!@rename($made->path, $path)) {
                throw BackupFailed::cannotBeWritten($path);
            }
            $this->backups->thin();

            return BackupFile::at($path);
        } finally {
            (new Filesystem())->remove($aside);
        }
    }

    private function snapshot(string $aside, string $path): string
    {
        $copy = $aside.'/'.Manifest::DATABASE;
        try {
            OnlineBackup::copy($this->dataDir.'/room.sqlite', $copy);
            OnlineBackup::settle($copy);
        } catch (\Exception) {
            throw BackupFailed::cannotBeWritten($path);
        }
        if (!OnlineBackup::isWhole($copy)) {
            throw BackupFailed::roomIsDamaged();
        }

        return $copy;
    }

    /** @return array<string, string> paths by name, of those that are there */
    private function photos(string $database): array
    {
        $photos = [];
        foreach (self::PHOTOS as [$table, $column]) {
            $isThere = '' !== OnlineBackup::ask($database, "SELECT 1 FROM pragma_table_info('$table') WHERE name = '$column'");
            $names = $isThere ? OnlineBackup::ask($database, "SELECT group_concat(DISTINCT $column) FROM $table") : '';
            foreach (array_filter(explode(',', $names), static fn (string $name): bool => '' !== $name) as $name) {
                $path = "{$this->dataDir}/photos/{$name}.jpg";
                if (is_file($path)) {
                    $photos["photos/{$name}.jpg"] = $path;
                }
            }
        }

        return $photos;
    }

    /** @return array<string, string> */
    private function settings(): array
    {
        $settings = [];
        foreach (self::SETTINGS as $name) {
            if (is_file($this->dataDir.'/'.$name)) {
                $settings[$name] = $this->dataDir.'/'.$name;
            }
        }

        return $settings;
    }

    /** @param array<string, string> $files */
    private function manifest(\DateTimeImmutable $at, BackupReason $reason, string $database, array $files): Manifest
    {
        return new Manifest(
            $at,
            $reason,
            OnlineBackup::ask($database, 'SELECT name FROM room ORDER BY id LIMIT 1'),
            OnlineBackup::ask($database, 'SELECT max(version) FROM doctrine_migration_versions'),
            (int) OnlineBackup::ask($database, 'SELECT count(*) FROM movement'),
            array_map(static fn (string $file): array => ['bytes' => (int) filesize($file), 'sha256' => (string) hash_file('sha256', $file)], $files),
        );
    }
}
