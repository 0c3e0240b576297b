<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use Lottel\Core\Year\Day;

/** A day for which a finished piece is kept. */
final readonly class AsideFor
{
    public function __construct(public int $id, public int $item, public Day $day, public int $occasion, public string $name)
    {
    }
}
