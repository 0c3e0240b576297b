<?php

declare(strict_types=1);

namespace App\Figures;

/** The figures of a room as they were when the log and the records had come so far. */
final readonly class RoomFigures
{
    /**
     * @param array{array{int, string, int, string}, string} $mark
     * @param list<MonthFigures> $months the oldest first
     * @param list<KindUse> $kinds those of which most is owned first
     */
    public function __construct(public array $mark, public array $months, public array $kinds)
    {
    }
}
