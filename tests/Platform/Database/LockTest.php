<?php

declare(strict_types=1);

namespace App\Tests\Platform\Database;

use App\Tests\OwnFileTestCase;

/** A transaction takes the write lock when it begins, not when it first writes: what it reads cannot change before. */
final class LockTest extends OwnFileTestCase
{
    public function testATransactionLocksAtOnce(): void
    {
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $other = new \PDO('sqlite:'.$this->data.'/room.sqlite', null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $other->exec('PRAGMA busy_timeout = 0');
        $this->database()->beginTransaction();
        self::assertSame('0', $this->word('SELECT count(*) FROM item'));
        try {
            $other->exec('BEGIN IMMEDIATE');
            self::fail('Another could write in between.');
        } catch (\PDOException $busy) {
            self::assertSame(5, $busy->errorInfo[1] ?? null);
        }
        $this->database()->rollBack();
        $other->exec('BEGIN IMMEDIATE');
        $other->exec('ROLLBACK');
        self::assertSame(
            [1, 2, 'wal'],
            [
                $this->number('PRAGMA foreign_keys'),
                $this->number('PRAGMA synchronous'),
                $this->database()->fetchOne('PRAGMA journal_mode'),
            ],
        );
    }
}
