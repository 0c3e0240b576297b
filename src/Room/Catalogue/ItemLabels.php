<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** The labels of items that are to be printed. */
interface ItemLabels
{
    /** For things that carry a label themselves. */
    public function wishForThing(Item $item, string $reason): void;
}
