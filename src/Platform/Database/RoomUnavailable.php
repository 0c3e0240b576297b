<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Driver\Exception as DriverError;

/** The room's file cannot be read or written just now; the message tells a person why and what to do. */
final class RoomUnavailable extends \RuntimeException
{
    private const BUSY = [5, 6];
    private const READ_ONLY = 8;
    private const UNREADABLE = [10, 14];
    private const DAMAGED = [11, 26];
    private const FULL = 13;

    /**
     * Returns what a driver's error means for a person, or null where it is a fault of the program. The codes are SQLite's
     * (https://sqlite.org/rescode.html).
     */
    public static function from(\Throwable $error): ?self
    {
        for ($cause = $error; null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof self) {
                return $cause;
            }
            $code = match (true) {
                $cause instanceof \PDOException => \is_int($cause->errorInfo[1] ?? null) ? $cause->errorInfo[1] : 0,
                $cause instanceof DriverError => (int) $cause->getCode(),
                default => 0,
            };
            $message = self::message($code & 0xFF, $cause->getMessage());
            if (null !== $message) {
                return new self($message, $code, $error);
            }
        }

        return null;
    }

    public static function damaged(): self
    {
        return new self((string) self::message(self::DAMAGED[0], ''), self::DAMAGED[0]);
    }

    /** Whether the file itself is broken, and not only out of reach for now. */
    public function isDamage(): bool
    {
        return \in_array($this->getCode() & 0xFF, self::DAMAGED, true);
    }

    private static function message(int $code, string $said): ?string
    {
        return match (true) {
            \in_array($code, self::BUSY, true) => 'Somebody else is writing just now. Nothing is lost; press again.',
            self::FULL === $code || (0 !== $code && str_contains($said, 'disk is full')) => 'The disk is full, so nothing could be written.'
                .' Nothing that was written before is lost: make room on the disk, then press again.',
            self::READ_ONLY === $code => 'The room’s file may only be read just now, so nothing could be written.'
                .' Nothing is lost: allow Lottel to write to its folder, then press again.',
            \in_array($code, self::UNREADABLE, true) => 'The room’s file cannot be reached just now, so nothing could be written.'
                .' Nothing is lost: see to the disk, then press again.',
            \in_array($code, self::DAMAGED, true) => 'The room’s file is damaged.'
                .' Stop Lottel, and bring the last backup back with bin/restore, which keeps the damaged file aside.',
            default => null,
        };
    }
}
