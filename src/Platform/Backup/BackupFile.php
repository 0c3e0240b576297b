<?php

declare(strict_types=1);

namespace App\Platform\Backup;

/**
 * A backup on the disk: a zip archive whose comment ends in the SHA-256 of all that stands before these 64 digits. So any unzip opens it,
 * and a single changed byte is noticed.
 */
final readonly class BackupFile
{
    private const MARK = 'lottel-backup 1 sha256:';
    private const DIGITS = 64;
    private const CHUNK = 1_048_576;

    private function __construct(public string $path, public Manifest $manifest)
    {
    }

    /**
     * Reads what a backup says of itself; whether it is whole is another question.
     *
     * @throws InvalidBackup if it is none, or newer
     */
    public static function at(string $path): self
    {
        $handle = @fopen($path, 'r');
        if (false === $handle) {
            throw InvalidBackup::cannotBeRead();
        }
        fseek($handle, -self::DIGITS - \strlen(self::MARK), \SEEK_END);
        $isOurs = self::MARK === fread($handle, \strlen(self::MARK));
        fclose($handle);
        $zip = new \ZipArchive();
        if (!$isOurs || true !== $zip->open($path, \ZipArchive::RDONLY)) {
            throw InvalidBackup::isForeign();
        }
        $json = $zip->getFromName(Manifest::FILE, self::CHUNK * 64);
        $zip->close();

        return new self($path, false === $json ? throw InvalidBackup::isForeign() : Manifest::read($json));
    }

    /**
     * Writes a backup.
     *
     * @param array<string, string> $files the path of each file, by its name in the backup
     * @param (callable(float): void)|null $tell is told how much is done, from 0 to 1
     *
     * @throws BackupFailed if it cannot be written whole
     */
    public static function write(string $path, Manifest $manifest, array $files, ?callable $tell = null): self
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE)) {
            throw BackupFailed::cannotBeWritten($path);
        }
        $zip->addFromString(Manifest::FILE, $manifest->json());
        foreach ($files as $name => $file) {
            $zip->addFile($file, $name);
            str_ends_with($name, '.jpg') ? $zip->setCompressionName($name, \ZipArchive::CM_STORE) : $zip->setCompressionName($name, \ZipArchive::CM_DEFLATE, 3);
        }
        $zip->setArchiveComment(self::MARK.str_repeat('0', self::DIGITS));
        if (null !== $tell) {
            $zip->registerProgressCallback(0.02, $tell);
        }
        if (!@$zip->close() || !self::seal($path)) {
            @unlink($path);
            throw BackupFailed::cannotBeWritten($path);
        }

        return new self($path, $manifest);
    }

    /**
     * Looks whether every byte is as it was written.
     *
     * @throws InvalidBackup if not
     */
    public function check(): void
    {
        $handle = @fopen($this->path, 'r');
        $digits = @file_get_contents($this->path, false, null, max(0, (int) @filesize($this->path) - self::DIGITS));
        if (false === $handle || self::hash($handle) !== $digits) {
            throw InvalidBackup::isDamaged();
        }
        fclose($handle);
    }

    /**
     * Unpacks all of it into an empty folder, and looks at every file once more.
     *
     * @throws InvalidBackup if a file is not what the manifest says
     */
    public function unpack(string $folder): void
    {
        if ($this->manifest->bytes() > (float) @disk_free_space($folder)) {
            throw InvalidBackup::doesNotFit($this->manifest->bytes());
        }
        $zip = new \ZipArchive();
        if (true !== $zip->open($this->path, \ZipArchive::RDONLY)) {
            throw InvalidBackup::isDamaged();
        }
        foreach ($this->manifest->files as $name => $said) {
            $from = $zip->getStream($name);
            $path = $folder.'/'.$name;
            is_dir(\dirname($path)) || mkdir(\dirname($path), 0o700, true);
            $to = false === $from ? false : @fopen($path, 'w');
            if (false === $from || false === $to || $said['bytes'] !== stream_copy_to_stream($from, $to, $said['bytes'] + 1)) {
                throw InvalidBackup::isDamaged();
            }
            fclose($to);
            if ($said['sha256'] !== hash_file('sha256', $path)) {
                throw InvalidBackup::isDamaged();
            }
        }
        $zip->close();
    }

    private static function seal(string $path): bool
    {
        $handle = @fopen($path, 'r+');
        if (false === $handle) {
            return false;
        }
        $hash = self::hash($handle);
        fseek($handle, -self::DIGITS, \SEEK_END);

        return self::DIGITS === fwrite($handle, $hash) && fflush($handle) && fsync($handle) && fclose($handle);
    }

    /** @param resource $handle */
    private static function hash($handle): string
    {
        $left = (int) (fstat($handle)['size'] ?? 0) - self::DIGITS;
        rewind($handle);
        $hash = hash_init('sha256');
        while ($left > 0) {
            $read = hash_update_stream($hash, $handle, min(self::CHUNK, $left));
            if ($read <= 0) {
                break;
            }
            $left -= $read;
        }

        return hash_final($hash);
    }
}
