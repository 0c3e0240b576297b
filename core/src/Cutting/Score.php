<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** How good a plan is, in the order in which it matters; smaller is better throughout. */
final readonly class Score
{
    public function __construct(
        public int $unplaced,
        public int $sheets,
        public int $areaNotFromScraps,
        public int $scrapAreaOpened,
        public int $largestOffcut,
        public int $cuts,
    ) {
    }

    public function isBetterThan(self $other): bool
    {
        return [$this->unplaced, $this->sheets, $this->areaNotFromScraps, $this->scrapAreaOpened, -$this->largestOffcut, $this->cuts]
            < [$other->unplaced, $other->sheets, $other->areaNotFromScraps, $other->scrapAreaOpened, -$other->largestOffcut, $other->cuts];
    }
}
