<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Room\Catalogue\ThingLine;

/** A thing of a round that a child leaves to a grown-up, and where it is. */
final readonly class GrownUpsThing
{
    public function __construct(public ThingLine $thing, public string $address)
    {
    }
}
