<?php

declare(strict_types=1);

namespace App\Platform\Backup;

/** What a backup says of itself. */
final readonly class Manifest
{
    public const FORMAT = 'lottel-backup';
    public const VERSION = 1;
    public const FILE = 'manifest.json';
    public const DATABASE = 'room.sqlite';

    /** What a backup may hold: the database, photos, and what belongs to the installation. */
    private const NAMES = '~^(room\.sqlite|photos/[0-9a-f]{32}\.jpg|secret|(scale|tape-printer)\.json|tls/(authority|server)\.(crt|key))$~D';

    /**
     * @param string $schema the last migration of its database
     * @param array<string, array{bytes: int, sha256: string}> $files by name
     */
    public function __construct(
        public \DateTimeImmutable $madeAt,
        public BackupReason $reason,
        public string $room,
        public string $schema,
        public int $movements,
        public array $files,
    ) {
    }

    public function json(): string
    {
        return json_encode([
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'made_at' => $this->madeAt->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
            'reason' => $this->reason->value,
            'room' => $this->room,
            'schema' => $this->schema,
            'movements' => $this->movements,
            'files' => array_map(static fn (string $name, array $file): array => ['name' => $name] + $file, array_keys($this->files), $this->files),
        ], \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }

    /** @throws InvalidBackup if it is none, or of a newer version */
    public static function read(string $json): self
    {
        $said = json_decode($json, true);
        if (!\is_array($said) || self::FORMAT !== ($said['format'] ?? null) || !\is_int($said['version'] ?? null)) {
            throw InvalidBackup::isForeign();
        }
        if ($said['version'] > self::VERSION) {
            throw InvalidBackup::isNewer();
        }
        $madeAt = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i:s\Z', self::text($said, 'made_at'), new \DateTimeZone('UTC'));
        $reason = BackupReason::tryFrom(self::text($said, 'reason'));
        $files = self::files($said['files'] ?? null);
        if (false === $madeAt || null === $reason || !isset($files[self::DATABASE])) {
            throw InvalidBackup::isDamaged();
        }

        return new self($madeAt, $reason, self::text($said, 'room'), self::text($said, 'schema'), (int) self::text($said, 'movements'), $files);
    }

    /** @return int how much it takes unpacked, in bytes */
    public function bytes(): int
    {
        return array_sum(array_column($this->files, 'bytes'));
    }

    /** @return array<string, array{bytes: int, sha256: string}> */
    private static function files(mixed $said): array
    {
        $files = [];
        foreach (\is_array($said) ? $said : [] as $file) {
            if (!\is_array($file) || !\is_int($file['bytes'] ?? null) || $file['bytes'] < 0 || 1 !== preg_match(self::NAMES, self::text($file, 'name'))) {
                throw InvalidBackup::isDamaged();
            }
            $files[self::text($file, 'name')] = ['bytes' => $file['bytes'], 'sha256' => self::text($file, 'sha256')];
        }

        return $files;
    }

    /** @param array<mixed> $said */
    private static function text(array $said, string $field): string
    {
        return \is_scalar($said[$field] ?? null) ? (string) $said[$field] : throw InvalidBackup::isDamaged();
    }
}
