<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Platform\Database\Row;
use App\Room\Undo\StaysTrue;
use Doctrine\DBAL\Connection;

/** A basket is on one round. */
final readonly class OneRoundABasket implements StaysTrue
{
    public function __construct(private Connection $database)
    {
    }

    public function restsOn(): array
    {
        return ['errand'];
    }

    public function check(): void
    {
        $name = $this->database->fetchOne(
            'SELECT max(e.name) FROM errand e WHERE e.ended_at IS NULL GROUP BY e.basket_id HAVING count(*) > 1 LIMIT 1',
        );
        if (false !== $name) {
            throw UpkeepRoundRefused::basketIsTaken(Row::word($name));
        }
    }
}
