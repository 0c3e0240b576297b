<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Platform\Steps\Refusal;
use App\Room\Undo\StaysTrue;

/** A basket is on one round. */
final readonly class OneRoundABasket implements StaysTrue
{
    public function restsOn(): array
    {
        return ['errand'];
    }

    public function broken(): string
    {
        return 'SELECT max(e.name) FROM errand e WHERE e.ended_at IS NULL GROUP BY e.basket_id HAVING count(*) > 1 LIMIT 1';
    }

    public function refusal(string $name): Refusal
    {
        return UpkeepRoundRefused::basketIsTaken($name);
    }
}
