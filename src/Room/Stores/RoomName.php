<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/** What the room is called; for commands, which show no page. */
final readonly class RoomName
{
    public function __construct(private Connection $database)
    {
    }

    public function now(): string
    {
        return Row::word($this->database->fetchOne('SELECT name FROM room ORDER BY id LIMIT 1')) ?: 'a room';
    }
}
