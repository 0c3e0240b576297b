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
}
