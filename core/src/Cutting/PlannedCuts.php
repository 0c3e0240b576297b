<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** What is to be cut from what lies on the table, and from what is opened anew. */
final readonly class PlannedCuts
{
    /**
     * @param array<int, SheetInWork> $changed sheets on the table with what is to be cut from them besides, by number
     * @param list<array{int, SheetInWork}> $opened what stock is opened, and how it is cut
     * @param array<int, int> $lacking how many of each piece nothing is left for, by piece
     * @param int $least no plan opens fewer full sheets
     */
    public function __construct(public array $changed, public array $opened, public array $lacking, public int $sheets, public int $least, public Score $score)
    {
    }

    /** Whether nothing is lacking and no plan needs fewer sheets. */
    public function isBest(): bool
    {
        return [] === $this->lacking && $this->sheets === $this->least;
    }
}
