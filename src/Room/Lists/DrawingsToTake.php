<?php

declare(strict_types=1);

namespace App\Room\Lists;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/** What of the room there is a drawing of. */
final readonly class DrawingsToTake
{
    public function __construct(private Connection $database)
    {
    }

    /** @return list<string> the walls at which something stands */
    public function walls(): array
    {
        return Row::words($this->database->fetchFirstColumn("SELECT DISTINCT wall FROM unit WHERE letters NOT LIKE '~%' ORDER BY walk, id"));
    }

    /** @return array<int|string, string> the rooms by number */
    public function rooms(): array
    {
        return array_map(Row::word(...), $this->database->fetchAllKeyValue('SELECT id, name FROM room ORDER BY id'));
    }
}
