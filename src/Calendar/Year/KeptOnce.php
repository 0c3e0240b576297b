<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\Refusal;
use App\Room\Undo\StaysTrue;

/** No piece is kept for more days than there are of it. */
final readonly class KeptOnce implements StaysTrue
{
    public function restsOn(): array
    {
        return ['set_aside', 'gift', 'movement'];
    }

    public function broken(): string
    {
        return 'SELECT i.name FROM set_aside s JOIN item i ON i.id = s.item_id GROUP BY s.item_id
             HAVING count(*) > (SELECT t.in_room FROM stock_of_item t WHERE t.item_id = s.item_id) LIMIT 1';
    }

    public function refusal(string $name): Refusal
    {
        return YearRefused::isKeptForMore($name);
    }
}
