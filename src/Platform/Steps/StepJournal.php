<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/**
 * What a step changed, row by row, written down by the database itself: whichever way a change comes, an undo finds it.
 * The triggers are made from the columns that a table has; a migration that changes a table calls install() again.
 */
final readonly class StepJournal
{
    public function __construct(private Connection $database, private WatchedTables $tables)
    {
    }

    public function begin(string $requestId): void
    {
        $this->database->insert('current_step', ['request_id' => $requestId]);
    }

    public function end(): void
    {
        $this->database->executeStatement('DELETE FROM current_step');
    }

    /** How much a step changed. */
    public function count(string $requestId): int
    {
        return Row::number($this->database->fetchOne('SELECT count(*) FROM step_change WHERE request_id = ?', [$requestId]));
    }

    /** @return list<StepChange> what a step changed, in order */
    public function of(string $requestId): array
    {
        $rows = $this->database->fetchAllAssociative('SELECT subject, row_id, what, was, became FROM step_change WHERE request_id = ? ORDER BY id', [
            $requestId,
        ]);

        return self::read($rows);
    }

    /**
     * What a long step changed, some at a time, the last first; each some in its order.
     *
     * @return iterable<int, list<StepChange>>
     */
    public function backwards(string $requestId, int $atOnce): iterable
    {
        for ($part = 0; [] !== ($changes = $this->fromBehind($requestId, $part * $atOnce, $atOnce)); ++$part) {
            yield $part => $changes;
        }
    }

    /** @return list<StepChange> some of what a step changed, in order, after so many of the last */
    public function fromBehind(string $requestId, int $after, int $many): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT subject, row_id, what, was, became FROM step_change WHERE request_id = ? ORDER BY id DESC LIMIT '.$many.' OFFSET '.$after,
            [$requestId],
        );

        return self::read(array_reverse($rows));
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<StepChange>
     */
    private static function read(array $rows): array
    {
        return Row::each($rows, static fn (Row $row): StepChange => new StepChange(
            $row->text('subject'),
            $row->int('row_id'),
            $row->one('what', Change::class),
            self::columns($row->textOrNull('was')),
            self::columns($row->textOrNull('became')),
        ));
    }

    /** Makes the triggers anew, for those of the watched tables that there are by now. */
    public function install(): void
    {
        foreach ($this->statements() as $sql) {
            $this->database->executeStatement($sql);
        }
    }

    /** @return list<string> */
    private function statements(): array
    {
        $statements = [];
        foreach ($this->tables->all() as $name => $table) {
            $columns = Row::words($this->database->fetchFirstColumn("SELECT name FROM pragma_table_info('$name')"));
            $statements = [...$statements, ...match (true) {
                [] === $columns => [],
                $table->isLog => self::triggersOfLog($name),
                default => self::triggers($name, array_values(array_diff($columns, $table->follows))),
            }];
        }

        return $statements;
    }

    /** @return list<string> */
    private static function triggersOfLog(string $table): array
    {
        return [
            "DROP TRIGGER IF EXISTS step_{$table}_insert",
            "CREATE TRIGGER step_{$table}_insert AFTER INSERT ON $table WHEN NEW.reverses_id IS NULL BEGIN
                INSERT INTO step_change (request_id, subject, row_id, what) SELECT request_id, '$table', NEW.id, 'insert' FROM current_step; END",
        ];
    }

    /**
     * @param list<string> $columns
     *
     * @return list<string>
     */
    private static function triggers(string $table, array $columns): array
    {
        $json = static fn (string $row): string => 'json_object('.
            implode(', ', array_map(static fn (string $column): string => "'$column', $row.$column", $columns)).
            ')';
        $differs = implode(' OR ', array_map(static fn (string $column): string => "OLD.$column IS NOT NEW.$column", $columns));
        $changed = static fn (string $take): string => '(SELECT json_group_object(o.key, '.
            $take.
            '.value) FROM json_each('.
            $json('OLD').
            ') o JOIN json_each('.
            $json('NEW').
            ') n ON n.key = o.key WHERE o.value IS NOT n.value)';
        $note = static fn (
            string $what,
            string $row,
            string $was,
            string $became,
        ): string => "INSERT INTO step_change (request_id, subject, row_id, what, was, became)
            SELECT request_id, '$table', $row.rowid, '$what', $was, $became FROM current_step";

        return [
            "DROP TRIGGER IF EXISTS step_{$table}_insert",
            "CREATE TRIGGER step_{$table}_insert AFTER INSERT ON $table BEGIN ".$note('insert', 'NEW', 'NULL', $json('NEW')).'; END',
            "DROP TRIGGER IF EXISTS step_{$table}_update",
            "CREATE TRIGGER step_{$table}_update AFTER UPDATE OF ".
            implode(', ', $columns).
            " ON $table WHEN $differs BEGIN ".
            $note('update', 'NEW', $changed('o'), $changed('n')).
            '; END',
            "DROP TRIGGER IF EXISTS step_{$table}_delete",
            "CREATE TRIGGER step_{$table}_delete AFTER DELETE ON $table BEGIN ".$note('delete', 'OLD', $json('OLD'), 'NULL').'; END',
        ];
    }

    /** @return array<string, int|string|null> */
    private static function columns(?string $json): array
    {
        $decoded = null === $json ? [] : json_decode($json, true);
        $columns = [];
        foreach (\is_array($decoded) ? $decoded : [] as $column => $value) {
            $columns[(string) $column] = \is_int($value) || \is_string($value) ? $value : null;
        }

        return $columns;
    }
}
