<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Room\Catalogue\ThingRow;

/** A line of a count sheet as its page shows it. */
final readonly class SheetRow
{
    /**
     * @param string $count what was typed
     * @param bool $isSame whether it was said to be as the log says
     * @param string $why the reason that was chosen
     * @param int $difference to what the log says, 0 where there is none or nobody has said
     */
    public function __construct(public ThingRow $row, public string $count, public bool $isSame, public string $why, public int $difference)
    {
    }
}
