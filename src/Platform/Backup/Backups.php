<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use Symfony\Component\Filesystem\Filesystem;

/** The backups of this room that lie in its folder, the newest first. */
final readonly class Backups
{
    private const NAME = '~^lottel-\d{4}-\d{2}-\d{2}-\d{6}-[a-z-]+(-\d+)?\.zip$~D';

    private const TAKEN = '.taken-along';

    public function __construct(private string $dataDir)
    {
    }

    public function folder(): string
    {
        return $this->dataDir.'/backups';
    }

    /** @return list<KeptBackup> */
    public function all(): array
    {
        $names = array_filter(@scandir($this->folder(), \SCANDIR_SORT_DESCENDING) ?: [], static fn (string $name): bool => 1 === preg_match(self::NAME, $name));

        return array_map($this->kept(...), array_values($names));
    }

    /** @param \DateTimeImmutable|null $until those that say to be made later do not count; null for all */
    public function newest(?\DateTimeImmutable $until = null): ?KeptBackup
    {
        foreach ($this->all() as $backup) {
            if (null === $until || $backup->madeAt <= $until) {
                return $backup;
            }
        }

        return null;
    }

    /** Returns the backup of this name, null where there is none. */
    public function named(string $name): ?KeptBackup
    {
        return 1 === preg_match(self::NAME, $name) && is_file($this->folder().'/'.$name) ? $this->kept($name) : null;
    }

    public function path(KeptBackup $backup): string
    {
        return $this->folder().'/'.$backup->name;
    }

    /** Remembers that one has been taken along to another place. */
    public function taken(\DateTimeImmutable $at): void
    {
        @touch($this->folder().'/'.self::TAKEN, $at->getTimestamp());
    }

    /** When one was taken along last, null where none ever was. */
    public function takenAt(): ?\DateTimeImmutable
    {
        $at = @filemtime($this->folder().'/'.self::TAKEN);

        return false === $at ? null : new \DateTimeImmutable('@'.$at);
    }

    /** Throws away what was left by a backup, or a return to one, that was killed in the middle. */
    public function clearLeftovers(): void
    {
        (new Filesystem())->remove([...(glob($this->folder().'/.lottel-*') ?: []), ...(glob($this->dataDir.'/.restore-*') ?: [])]);
    }

    public function throwAway(KeptBackup $backup): void
    {
        @unlink($this->path($backup));
    }

    /** Returns a path that is not taken yet. */
    public function newPath(\DateTimeImmutable $at, BackupReason $reason): string
    {
        $stem = $this->folder().'/lottel-'.$at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d-His').'-'.$reason->value;
        $path = $stem.'.zip';
        for ($nth = 2; is_file($path); ++$nth) {
            $path = "{$stem}-{$nth}.zip";
        }

        return $path;
    }

    /** Throws away the oldest of those that Lottel made by itself, where there are more than are kept. */
    public function thin(): void
    {
        $seen = [];
        foreach ($this->all() as $backup) {
            $most = $backup->reason->kept();
            $seen[$backup->reason->value] = ($seen[$backup->reason->value] ?? 0) + 1;
            if (null !== $most && $seen[$backup->reason->value] > $most) {
                $this->throwAway($backup);
            }
        }
    }

    private function kept(string $name): KeptBackup
    {
        $at = \DateTimeImmutable::createFromFormat('!Y-m-d-His', substr($name, 7, 17), new \DateTimeZone('UTC'));
        preg_match('~^lottel-[\d-]{18}([a-z-]+?)(-\d+)?\.zip$~D', $name, $parts);

        return new KeptBackup(
            $name,
            false === $at ? new \DateTimeImmutable('@0') : $at,
            BackupReason::tryFrom($parts[1] ?? '') ?? BackupReason::Asked,
            (int) @filesize($this->folder().'/'.$name),
        );
    }
}
