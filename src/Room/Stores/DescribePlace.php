<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** Writes down what belongs in a place; one with another name needs another label. */
final readonly class DescribePlace
{
    public function __construct(private PlaceIndex $index, private PlaceLabels $labels)
    {
    }

    public function __invoke(Place $place, PlaceDescription $said): void
    {
        $isRenamed = $place->describe($said);
        $this->index->place($place);
        if ($isRenamed) {
            $this->labels->wishForPlace($place, 'renamed');
        }
    }
}
