<?php

declare(strict_types=1);

namespace App\Upkeep\Figures;

use Lottel\Core\Upkeep\Figures\Proportion;

/** The figures of a room. */
final readonly class RoomFigures
{
    /**
     * @param list<MonthFigures> $months the oldest first
     * @param list<KindUse> $kinds those of which most is owned first
     */
    public function __construct(public array $months, public array $kinds)
    {
    }

    /** Of all paper that was cut, what became waste; by area in square millimetres. */
    public function waste(): Proportion
    {
        $of = fn (callable $area): int => array_sum(array_map($area, $this->months));

        return new Proportion(
            $of(static fn (MonthFigures $month): int => $month->waste->part),
            $of(static fn (MonthFigures $month): int => $month->waste->whole),
        );
    }

    /** How many scraps came or went in the month in which it was most. */
    public function mostScraps(): int
    {
        return max(0, ...array_map(static fn (MonthFigures $month): int => max($month->scrapsIn, $month->scrapsOut), $this->months));
    }
}
