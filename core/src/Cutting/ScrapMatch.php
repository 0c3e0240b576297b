<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A scrap that will do, and how. */
final readonly class ScrapMatch
{
    /**
     * @param bool $isTurned whether the piece fits no other way
     * @param int $doubledLeftOver twice the area that is left over
     * @param float|null $difference ΔE00 to the wanted colour, null where any will do
     */
    public function __construct(public Scrap $scrap, public bool $isTurned, public int $doubledLeftOver, public ?float $difference)
    {
    }
}
