<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Colour\Srgb;

/** A finished piece of which some lie ready. */
final readonly class CardOnShelf
{
    /**
     * @param string $word the occasion that it is for, as the shelf calls it
     * @param int $free how many are neither given nor set aside
     * @param list<Srgb> $colours
     * @param int|null $madeOn the number of the Day on which the first was made
     */
    public function __construct(public int $id, public string $word, public int $free, public array $colours = [], public ?int $madeOn = null)
    {
    }
}
