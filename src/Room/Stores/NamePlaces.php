<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** Says of several places of a unit at once what they are called and what lives in them. */
final readonly class NamePlaces
{
    public function __construct(private Places $places, private PlaceIndex $index, private PlaceLabels $labels)
    {
    }

    /**
     * @param array<int, PlaceWords> $said by place; what is not named stays as it is
     *
     * @return int how many are described otherwise now
     */
    public function __invoke(Unit $unit, array $said): int
    {
        $changed = 0;
        foreach ($this->places->ofUnit($unit) as $place) {
            $now = $said[(int) $place->id] ?? null;
            if (null === $now || $place->says($now)) {
                continue;
            }
            $isRenamed = $place->call($now);
            $this->index->place($place);
            if ($isRenamed) {
                $this->labels->wishForPlace($place, 'renamed');
            }
            ++$changed;
        }

        return $changed;
    }
}
