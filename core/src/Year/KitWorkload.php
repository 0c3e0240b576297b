<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Design\MakingStep;

/** What is still to be done for a kit. */
final readonly class KitWorkload
{
    /**
     * @param string $piece what one of them is called, as Makes reads it
     * @param int $done pieces that are made
     * @param list<MakingStep> $steps of one piece, where its design says them
     */
    public function __construct(
        public int $pieces,
        public string $piece,
        public bool $isNumberKnown,
        public int $done = 0,
        public int $thingsToPull = 0,
        public int $piecesToCut = 0,
        public int $scores = 0,
        public array $steps = [],
    ) {
    }

    /** Returns how many of the pieces are still to be cut, by how many of the sheets are: an estimate. */
    public static function toCut(int $pieces, int $openSheets, int $sheets): int
    {
        return 0 === $sheets ? 0 : (int) round($pieces * $openSheets / $sheets);
    }
}
