<?php

declare(strict_types=1);

namespace App\Tests\Platform\Database;

use App\Platform\Database\Row;
use App\Platform\Database\TableRebuild;
use App\Tests\In;
use App\Tests\OwnFileTestCase;

/** A table that is made anew keeps its rows, laws, indexes and journal, and is what it was if the new one does not hold. */
final class TableRebuildTest extends OwnFileTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->moveInto(2);
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
    }

    public function testEveryTableIsTheSameAfterwards(): void
    {
        $tables = Row::words($this->database()->fetchFirstColumn(
            "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'finder%'",
        ));
        self::assertGreaterThan(15, \count($tables));
        $schema = $this->schema();
        foreach ($tables as $table) {
            $rows = $this->database()->fetchAllAssociative("SELECT * FROM $table");
            $this->rebuild()->rebuild($table, static fn (string $made): string => $made);
            self::assertSame($rows, $this->database()->fetchAllAssociative("SELECT * FROM $table"), $table);
            self::assertSame($schema, $this->schema(), $table);
        }
        self::assertSame('1', $this->word('PRAGMA foreign_keys'));
        self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'));
    }

    public function testARunningNumberIsNotGivenTwice(): void
    {
        $this->database()->executeStatement("INSERT INTO kit (id, name, stage, created_at) VALUES (900, 'Gone again', 'planned', '2026-01-01')");
        $this->database()->executeStatement('DELETE FROM kit WHERE id = 900');
        $this->rebuild()->rebuild('kit', static fn (string $made): string => $made);
        $this->database()->executeStatement("INSERT INTO kit (name, stage, created_at) VALUES ('The next', 'planned', '2026-01-01')");
        self::assertSame('901', (string) $this->database()->lastInsertId());
    }

    public function testAnEnumerationGrows(): void
    {
        $this->rebuild()->rebuild('need', static fn (string $made): string => str_replace("'replaced')", "'replaced', 'lent')", $made));
        $this->database()->executeStatement("UPDATE need SET state = 'lent' WHERE id = (SELECT min(id) FROM need)");
        self::assertSame('lent', $this->database()->fetchOne('SELECT state FROM need ORDER BY id LIMIT 1'));
        $this->expectExceptionMessage('CHECK constraint failed');
        $this->database()->executeStatement("UPDATE need SET state = 'stolen'");
    }

    public function testWhatTheRowsDoNotKeepIsNotMade(): void
    {
        $schema = $this->schema();
        $needs = $this->database()->fetchAllAssociative('SELECT * FROM need');
        foreach ([
            static fn (string $made): string => str_replace('BETWEEN 1 AND 1000000000', 'BETWEEN 5000 AND 6000', $made),
            static fn (string $made): string => str_replace('REFERENCES kit (id)', 'REFERENCES label_sheet (id)', $made),
            static fn (string $made): string => 'CREATE TABLE needless (id INTEGER)',
        ] as $change) {
            try {
                $this->rebuild()->rebuild('need', $change);
                self::fail('It was made.');
            } catch (\Exception) {
                self::assertSame($schema, $this->schema());
                self::assertSame($needs, $this->database()->fetchAllAssociative('SELECT * FROM need'));
                self::assertSame('1', $this->word('PRAGMA foreign_keys'));
            }
        }
    }

    public function testAWayIntoOneTransactionIsRefused(): void
    {
        $this->database()->beginTransaction();
        try {
            $this->expectExceptionMessage('outside of a transaction');
            $this->rebuild()->rebuild('need', static fn (string $made): string => $made);
        } finally {
            $this->database()->rollBack();
        }
    }

    private function rebuild(): TableRebuild
    {
        return new TableRebuild($this->database());
    }

    /** @return array<string, string> */
    private function schema(): array
    {
        $made = [];
        foreach (
            $this->database()->fetchAllAssociative("SELECT type || ' ' || name AS what, sql FROM sqlite_master WHERE sql IS NOT NULL ORDER BY 1") as $columns
        ) {
            $row = new Row($columns);
            $made[$row->text('what')] = (string) preg_replace('/^CREATE TABLE "?(\w+)"?/', 'CREATE TABLE $1', $row->text('sql'));
        }

        return $made;
    }
}
