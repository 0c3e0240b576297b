<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A scrap that would do, and how. */
final readonly class ScrapMatch
{
    /**
     * @param int $cuts how many cuts it takes
     * @param int $leftOver area that is left over
     * @param float|null $difference ΔE00 to the wanted colour
     */
    public function __construct(public Scrap $scrap, public bool $isTurned, public int $cuts, public int $leftOver, public ?float $difference)
    {
    }

    /** Returns how it fits, such as “turned, one cut”. */
    public function inWords(): string
    {
        return ($this->isTurned ? 'turned, ' : '').['exactly', 'one cut', 'two cuts'][$this->cuts];
    }
}
