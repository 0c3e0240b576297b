<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A scrap that would do but for one thing. */
final readonly class NearMiss
{
    /**
     * @param float|null $difference ΔE00 to the wanted colour, where both are known
     * @param int|null $short by how much its shortest side falls short, where it is a rectangle that is too small
     */
    public function __construct(public Scrap $scrap, public MissReason $why, public ?float $difference, public ?int $short)
    {
    }

    /**
     * Returns how far off it is, so that the nearest can come first: an inch too small weighs as much as a direction and a bit of
     * colour together (by judgement, no source).
     *
     * @param int $inch how long an inch is, lengths as in Piece
     */
    public function distance(int $inch): float
    {
        return match ($this->why) {
            MissReason::Size => ($this->short ?? $inch) / $inch,
            MissReason::Direction => 0.3,
            MissReason::Colour => 0.4 + ($this->difference ?? 20.0) / 20,
            MissReason::Weight => 0.6,
        };
    }
}
