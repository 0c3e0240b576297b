<?php

declare(strict_types=1);

namespace App\Upkeep\Figures;

use Lottel\Core\Upkeep\Figures\Proportion;

/** What a month says of the room. */
final readonly class MonthFigures
{
    /**
     * @param Proportion $back of what came back, what was back within a day
     * @param Proportion $right of the lines that were counted, those that were as the log said
     * @param int $scrapsIn scraps that were kept
     * @param int $scrapsOut scraps that were used, cut or thrown away
     * @param Proportion $used of the paper that was cut, by area in square millimetres, what became pieces
     * @param Proportion $waste likewise, what became waste
     * @param int $saved seconds a month that were saved by moves of that month, and of all before it
     */
    public function __construct(
        public string $month,
        public Proportion $back,
        public Proportion $right,
        public int $scrapsIn,
        public int $scrapsOut,
        public Proportion $used,
        public Proportion $waste,
        public int $saved,
    ) {
    }
}
