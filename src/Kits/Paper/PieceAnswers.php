<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/** What was found for a question: scraps first, then sheets; what nearly will do; and what has no size yet. */
final readonly class PieceAnswers
{
    /**
     * @param list<PieceAnswer> $answers
     * @param list<PieceMiss> $near the nearest first
     * @param list<PaperRow> $unmeasured
     * @param int $scraps how many scraps will do in all
     * @param int $sheets how many papers will do in all
     */
    public function __construct(public array $answers, public array $near, public array $unmeasured, public int $scraps, public int $sheets)
    {
    }

    public function sentence(): string
    {
        return match (true) {
            $this->scraps > 0 => 'Yes, without a new sheet.',
            $this->sheets > 0 => 'Only from a new sheet.',
            [] !== $this->near => 'No, but nearly.',
            default => 'No, there is none.',
        };
    }
}
