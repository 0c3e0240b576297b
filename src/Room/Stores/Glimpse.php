<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** A thing as one sees it when the front of its place stands open. */
final readonly class Glimpse
{
    /**
     * @param string|null $colour as hex, null where it has none
     * @param float $thickness in millimetres, of all that there is of it
     * @param bool $isStack whether it lies in a stack, and does not stand among others
     */
    public function __construct(public ?string $colour, public float $thickness, public bool $isStack)
    {
    }
}
