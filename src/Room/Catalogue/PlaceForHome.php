<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Room\Stores\PlaceRow;
use Lottel\Core\Catalogue\Thing;

/** A place that may become a home. */
final readonly class PlaceForHome
{
    /**
     * @param list<Thing> $sample a few of the things in it
     * @param float $roomLeft share of its room
     * @param float $reachSeconds from the bench and back
     */
    public function __construct(public PlaceRow $place, public array $sample, public float $roomLeft, public float $reachSeconds)
    {
    }
}
