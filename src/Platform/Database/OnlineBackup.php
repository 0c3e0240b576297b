<?php

declare(strict_types=1);

namespace App\Platform\Database;

/** SQLite's own online backup: a copy as of one moment, while others read and write. */
final class OnlineBackup
{
    private const BUSY_MILLISECONDS = 15_000;

    /** What is of no use in a copy; a room of an earlier version has not all of these. */
    private const OF_THE_MOMENT = ['session', 'sign_in_failure'];

    /**
     * Copies a database over another one, or into a new file. Whoever reads the other meanwhile sees all of the old or all of the new.
     *
     * @throws RoomUnavailable if one of them cannot be read or written
     */
    public static function copy(string $from, string $to): void
    {
        try {
            $source = self::open($from, \SQLITE3_OPEN_READWRITE);
            $target = self::open($to, \SQLITE3_OPEN_READWRITE | \SQLITE3_OPEN_CREATE);
            $source->backup($target);
            $target->close();
            $source->close();
        } catch (\Exception $error) {
            throw RoomUnavailable::from($error) ?? new \RuntimeException($error->getMessage(), 0, $error);
        }
    }

    /** Makes a copy one plain file, without a journal beside it, and takes the sessions out of it. */
    public static function settle(string $copy): void
    {
        $database = self::open($copy, \SQLITE3_OPEN_READWRITE);
        $database->exec('PRAGMA journal_mode = DELETE');
        foreach (self::OF_THE_MOMENT as $table) {
            if (null !== $database->querySingle("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = '$table'")) {
                $database->exec("DELETE FROM $table");
            }
        }
        $database->close();
    }

    /** Whether a database is whole: every page, every index, every row that points at another. */
    public static function isWhole(string $path): bool
    {
        try {
            $database = self::open($path, \SQLITE3_OPEN_READWRITE);
            $isWhole = 'ok' === $database->querySingle('PRAGMA integrity_check(1)') && null === $database->querySingle('PRAGMA foreign_key_check');
            $database->close();

            return $isWhole;
        } catch (\Exception) {
            return false;
        }
    }

    /**
     * Answers a question of one value about a database that is not the room's.
     *
     * @throws \Exception if there is no such table
     */
    public static function ask(string $path, string $sql): string
    {
        $database = self::open($path, \SQLITE3_OPEN_READWRITE);
        $answer = $database->querySingle($sql);
        $database->close();

        return \is_scalar($answer) ? (string) $answer : '';
    }

    private static function open(string $path, int $how): \SQLite3
    {
        $database = new \SQLite3($path, $how);
        $database->enableExceptions(true);
        $database->busyTimeout(self::BUSY_MILLISECONDS);

        return $database;
    }
}
