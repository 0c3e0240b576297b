<?php

declare(strict_types=1);

namespace App\Platform\Backup;

/**
 * What was shut out of a room stays out when an earlier state of it is brought back: devices, calendars that were stopped, and people who
 * left. Known by what no other room has alike: the hashes of tokens, the salts of calendars, log-ins with their numbers.
 */
final readonly class StayOut
{
    private const KINDS = [
        ['device', 'token', 'shut_out_at', ''],
        ['feed', 'salt', 'stopped_at', ''],
        ['account', "login || ':' || id", 'left_at', " AND (role <> 'owner' OR (SELECT count(*) FROM account WHERE role = 'owner' AND left_at IS NULL) > 1)"],
    ];

    /** @param array<string, array<string, string>> $ended when, by what it is known by, by table */
    private function __construct(private array $ended)
    {
    }

    /** Reads what is shut out of a room; nothing of a file that is no room, or an earlier one that knew nothing of it. */
    public static function of(string $database): self
    {
        $ended = [];
        foreach (is_file($database) && 0 < filesize($database) ? self::KINDS : [] as [$table, $known, $end]) {
            try {
                $room = self::open($database);
                $rows = $room->query("SELECT $known AS known, $end AS at FROM $table WHERE $end IS NOT NULL");
                while (false !== $rows && \is_array($row = $rows->fetchArray(\SQLITE3_ASSOC))) {
                    $ended[$table][self::word($row['known'])] = self::word($row['at']);
                }
                $room->close();
            } catch (\Exception) {
            }
        }

        return new self($ended);
    }

    /** @return array<string, int> how many of each had come back and are out again: `device`, `feed`, `account` */
    public function again(string $database): array
    {
        $out = [];
        foreach (self::KINDS as [$table, $known, $end, $unless]) {
            try {
                $room = self::open($database);
                $room->exec('BEGIN IMMEDIATE');
                foreach ($this->ended[$table] ?? [] as $which => $at) {
                    $change = $room->prepare("UPDATE $table SET $end = :at WHERE $known = :which AND $end IS NULL".$unless);
                    if (false !== $change) {
                        $change->bindValue('at', $at);
                        $change->bindValue('which', $which);
                        $change->execute();
                        $out[$table] = ($out[$table] ?? 0) + $room->changes();
                    }
                }
                $room->exec('COMMIT');
                $room->close();
            } catch (\Exception) {
            }
        }

        return array_filter($out, static fn (int $many): bool => $many > 0);
    }

    private static function word(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }

    private static function open(string $database): \SQLite3
    {
        $room = new \SQLite3($database, \SQLITE3_OPEN_READWRITE);
        $room->enableExceptions(true);
        $room->busyTimeout(15_000);

        return $room;
    }
}
