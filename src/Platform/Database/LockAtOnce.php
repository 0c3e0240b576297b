<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** Every transaction takes SQLite's write lock when it begins, so that what it reads cannot change before it writes. */
#[AsMiddleware(priority: 200)]
final readonly class LockAtOnce implements Middleware
{
    public const WAIT_MILLISECONDS = 5000;

    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $connection = new LockingConnection(parent::connect($params));
                $connection->exec('PRAGMA busy_timeout = '.LockAtOnce::WAIT_MILLISECONDS);
                $connection->exec('PRAGMA journal_mode = WAL');
                $connection->exec('PRAGMA synchronous = FULL');
                $connection->exec('PRAGMA foreign_keys = ON');
                $connection->exec('PRAGMA cache_size = -32000');
                $connection->exec('PRAGMA mmap_size = 33554432');

                return $connection;
            }
        };
    }
}
