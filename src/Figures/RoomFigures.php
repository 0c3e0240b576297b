<?php

declare(strict_types=1);

namespace App\Figures;

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
}
