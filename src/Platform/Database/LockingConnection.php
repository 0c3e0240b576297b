<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

final class LockingConnection extends AbstractConnectionMiddleware
{
    public function beginTransaction(): void
    {
        $this->exec('BEGIN IMMEDIATE');
    }

    public function commit(): void
    {
        $this->exec('COMMIT');
    }

    public function rollBack(): void
    {
        $this->exec('ROLLBACK');
    }

    /**
     * PDO does not know of a transaction that was begun by SQL. Whoever asks PDO whether one is open, as the migrations do
     * before they commit, would be told no; so PDO is not handed out.
     */
    public function getNativeConnection(): object
    {
        return $this;
    }
}
