<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** What the trimmer can do. Lengths as in Piece. */
final readonly class Trimmer
{
    /**
     * @param int|null $longestCut null for no limit
     * @param int $smallestStrip neither part of a cut may be narrower, measured across the cut; 0 for no limit
     */
    public function __construct(public ?int $longestCut = null, public int $smallestStrip = 0)
    {
    }

    /** Whether a cut of a length may leave these two parts, measured across it. */
    public function allows(int $length, int $first, int $second): bool
    {
        return (null === $this->longestCut || $length <= $this->longestCut) && $first >= $this->smallestStrip && $second >= $this->smallestStrip;
    }
}
