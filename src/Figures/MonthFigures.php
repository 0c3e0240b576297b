<?php

declare(strict_types=1);

namespace App\Figures;

use Lottel\Core\Upkeep\Figures\Share;

/** What a month says of the room. */
final readonly class MonthFigures
{
    /**
     * @param Share $back of what came back, what was back within a day
     * @param Share $right of the lines that were counted, those that were as the log said
     * @param int $scrapsIn scraps that were kept
     * @param int $scrapsOut scraps that were used, cut or thrown away
     * @param Share $used of the paper that was cut, by area in square millimetres, what became pieces
     * @param Share $waste likewise, what became waste
     * @param int $saved seconds a month that were saved by moves of that month, and of all before it
     */
    public function __construct(
        public string $month,
        public Share $back,
        public Share $right,
        public int $scrapsIn,
        public int $scrapsOut,
        public Share $used,
        public Share $waste,
        public int $saved,
    ) {
    }
}
