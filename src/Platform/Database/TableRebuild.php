<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Connection;

/**
 * Changes what SQLite cannot alter in place, such as a CHECK, by making the table anew, in the order that
 * https://www.sqlite.org/lang_altertable.html#otheralter gives. Rows, indexes, triggers and the running number stay.
 */
final readonly class TableRebuild
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param callable(string): string $change gets the statement that made the table and gives the one that makes it anew
     *
     * @throws \LogicException within a transaction, in which foreign keys cannot be switched off; or where the outcome does not hold
     */
    public function rebuild(string $table, callable $change): void
    {
        if ($this->database->isTransactionActive()) {
            throw new \LogicException('A table is made anew outside of a transaction.');
        }
        $this->pragmas(keys: 'OFF', legacy: 'ON');
        try {
            $this->database->transactional(fn () => $this->replace($table, $change));
        } finally {
            $this->pragmas(keys: 'ON', legacy: 'OFF');
        }
    }

    /** @param callable(string): string $change */
    private function replace(string $table, callable $change): void
    {
        $made = Row::word($this->database->fetchOne("SELECT sql FROM sqlite_master WHERE type = 'table' AND name = ?", [$table]));
        $belongings = $this->belongings($table);
        $sequence = $this->database->fetchOne('SELECT seq FROM sqlite_sequence WHERE name = ?', [$table]);
        $rows = $this->rows($table);
        $this->database->executeStatement($this->renamed($change($made), $table, $table.'_anew'));
        $columns = implode(', ', $this->sharedColumns($table));
        $this->database->executeStatement("INSERT INTO {$table}_anew ($columns) SELECT $columns FROM $table");
        $this->database->executeStatement("DROP TABLE $table");
        $this->database->executeStatement("ALTER TABLE {$table}_anew RENAME TO $table");
        foreach ($belongings as $sql) {
            $this->database->executeStatement($sql);
        }
        if (false !== $sequence) {
            $this->database->executeStatement('UPDATE sqlite_sequence SET seq = ? WHERE name = ?', [$sequence, $table]);
        }
        $this->check($table, $rows);
    }

    /** @return list<string> the statements that made its indexes and triggers */
    private function belongings(string $table): array
    {
        return Row::words($this->database->fetchFirstColumn(
            "SELECT sql FROM sqlite_master WHERE tbl_name = ? AND type IN ('index', 'trigger') AND sql IS NOT NULL ORDER BY rowid",
            [$table],
        ));
    }

    private function rows(string $table): int
    {
        return Row::number($this->database->fetchOne("SELECT count(*) FROM $table"));
    }

    private function renamed(string $statement, string $table, string $name): string
    {
        $renamed = preg_replace('/^(\s*CREATE\s+TABLE\s+)"?'.preg_quote($table, '/').'"?(?=\W)/i', '$1'.$name, $statement, 1, $count);
        if (1 !== $count) {
            throw new \LogicException("That does not make the table $table.");
        }

        return (string) $renamed;
    }

    /** @return list<string> */
    private function sharedColumns(string $table): array
    {
        $columns = fn (string $of): array => Row::words($this->database->fetchFirstColumn("SELECT name FROM pragma_table_info('$of')"));

        return array_values(array_intersect($columns($table), $columns($table.'_anew')));
    }

    private function check(string $table, int $rows): void
    {
        $loose = $this->database->fetchAllAssociative('PRAGMA foreign_key_check');
        if ($rows !== $this->rows($table) || [] !== $loose || 'ok' !== $this->database->fetchOne('PRAGMA integrity_check(1)')) {
            throw new \LogicException("The table $table does not hold what it held.");
        }
    }

    private function pragmas(string $keys, string $legacy): void
    {
        $this->database->executeStatement("PRAGMA foreign_keys = $keys");
        $this->database->executeStatement("PRAGMA legacy_alter_table = $legacy");
    }
}
