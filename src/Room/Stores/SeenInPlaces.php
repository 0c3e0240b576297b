<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** What is to be seen behind the fronts of the room, things in inner places with those around them. */
final class SeenInPlaces
{
    /** @var array<int, list<FrontRow>> */
    private array $fronts = [];

    /** @var array<int, list<FrontRow>> */
    private array $inner = [];

    /** @var array<int, int> */
    private array $things = [];

    /**
     * @param array<int, list<PlaceLine>> $byUnit
     * @param array<int, FrontState> $states
     * @param array<int, list<Glimpse>> $glimpses
     */
    public function __construct(RoomReading $room, array $byUnit, private readonly array $states, private readonly array $glimpses)
    {
        foreach ($room->places() as $place) {
            if (null !== $place->front) {
                $this->fronts[$place->unitId][] = $place;
            } elseif (null !== $place->parentId && null !== $room->place($place->parentId)?->front) {
                $this->inner[$place->parentId][] = $place;
            }
        }
        foreach ($byUnit as $lines) {
            foreach ($lines as $line) {
                $front = $room->frontOf($line->id);
                if (null !== $front) {
                    $this->things[$front] = ($this->things[$front] ?? 0) + $line->things;
                }
            }
        }
    }

    /** @return list<FrontRow> */
    public function fronts(int $unit): array
    {
        return $this->fronts[$unit] ?? [];
    }

    /** @return list<FrontRow> the places right behind a front */
    public function inner(int $front): array
    {
        return $this->inner[$front] ?? [];
    }

    /** How many different things are behind a front. */
    public function things(int $front): int
    {
        return $this->things[$front] ?? 0;
    }

    public function state(int $front): FrontState
    {
        return $this->states[$front] ?? new FrontState();
    }

    /** @return list<Glimpse> */
    public function glimpses(int $front): array
    {
        return $this->glimpses[$front] ?? [];
    }
}
