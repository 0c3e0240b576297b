<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Connection;

/** Single rows by the number that SQLite gives them, for putting them back as they were. Tables are those of the journal. */
final readonly class Rows
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, int|string|null>|null */
    public function get(string $table, int $row): ?array
    {
        $found = $this->database->fetchAssociative("SELECT * FROM $table WHERE rowid = ?", [$row]);

        return false === $found ? null : array_map(static fn (mixed $value): int|string|null => \is_int($value) || \is_string($value) ? $value : null, $found);
    }

    /** @param array<string, int|string|null> $columns */
    public function put(string $table, int $row, array $columns): void
    {
        $set = implode(', ', array_map(static fn (string $column): string => "$column = ?", array_keys($columns)));
        $this->database->executeStatement("UPDATE $table SET $set WHERE rowid = ?", [...array_values($columns), $row]);
    }

    /** @param array<string, int|string|null> $columns */
    public function add(string $table, int $row, array $columns): void
    {
        $columns = ['rowid' => $row] + $columns;
        $names = implode(', ', array_keys($columns));
        $marks = implode(', ', array_fill(0, \count($columns), '?'));
        $this->database->executeStatement("INSERT INTO $table ($names) VALUES ($marks)", array_values($columns));
    }

    public function remove(string $table, int $row): void
    {
        $this->database->executeStatement("DELETE FROM $table WHERE rowid = ?", [$row]);
    }

    /** Whether a table has a row with a value in a column. */
    public function has(string $table, string $column, int|string $value): bool
    {
        return false !== $this->database->fetchOne("SELECT 1 FROM $table WHERE $column = ? LIMIT 1", [$value]);
    }
}
