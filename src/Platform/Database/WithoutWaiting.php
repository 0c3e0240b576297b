<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Connection;

/** Writes what the next page can write as well: whoever reads does not wait for somebody who writes just now. */
final readonly class WithoutWaiting
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return int how many rows were written, 0 where it is left for another time
     */
    public function write(string $sql, array $values): int
    {
        try {
            $this->database->executeStatement('PRAGMA busy_timeout = 0');

            return (int) $this->database->executeStatement($sql, $values);
        } catch (\Doctrine\DBAL\Exception) {
            return 0;
        } finally {
            $this->database->executeStatement('PRAGMA busy_timeout = '.LockAtOnce::WAIT_MILLISECONDS);
        }
    }
}
