<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Cutting\Crease;

/** A piece that a design wants cut. */
final readonly class DesignPiece
{
    /**
     * @param string $part which part of the design it is, such as `base`, `L3` or `B2.m1`; it stays when others come and go
     * @param Sides $size as it lies flat
     * @param list<Crease> $creases
     * @param int $each how many of it one card, page or set takes
     * @param PaperChoice|null $paper null where nobody has said
     * @param list<string> $parts all parts that want such a piece, where several are alike
     */
    public function __construct(
        public string $part,
        public string $name,
        public Sides $size,
        public array $creases,
        public ?Sides $window,
        public int $each,
        public int $spare,
        public ?PaperChoice $paper,
        public array $parts,
    ) {
    }

    /** Returns how many are cut for so many cards, pages or sets. */
    public function quantity(int $made): int
    {
        return max(0, $this->each * $made + $this->spare);
    }
}
