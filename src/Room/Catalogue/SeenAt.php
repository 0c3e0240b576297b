<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Picture\Spot;

/** Where a thing is seen in a photo, and the name of the photo that was cut out of it there. */
final readonly class SeenAt
{
    public function __construct(public Spot $spot, public string $cutOut)
    {
    }
}
