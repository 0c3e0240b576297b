<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Homes\Reach;
use Lottel\Core\Homes\ReachSeconds;
use Symfony\Contracts\Service\ResetInterface;

/** How long it takes from the bench to have a thing of a place in hand and be back, in seconds; an estimate. */
final class ReachOfPlaces implements ResetInterface
{
    /** @var array<int, array{float, bool}>|null walking distance, and whether it is in another room, by unit */
    private ?array $walks = null;

    public function __construct(private readonly FloorReading $floor, private readonly RoomReading $room, private readonly Reach $reach = new Reach())
    {
    }

    /** Returns the seconds to a storage place that is in use; null where there is none. */
    public function seconds(int $id): ?float
    {
        return $this->to($id)?->total();
    }

    /** Returns what it takes to reach a storage place that is in use; null where there is none. */
    public function to(int $id): ?ReachSeconds
    {
        $place = $this->room->place($id);
        $unit = null === $place ? null : $this->room->units()[$place->unitId] ?? null;
        if (null === $place || null === $unit) {
            return null;
        }
        $this->walks ??= $this->walks();
        [$walk, $isAway] = $this->walks[$place->unitId] ?? [null, false];
        $front = $this->room->place($this->room->frontOf($id) ?? 0)?->front;
        $height = $front?->middleAboveFloor($unit->height, $unit->aboveFloor)->wholeMillimetres() ?? 0;

        return $this->reach->to($walk, $height, $unit->template->access(), $place->layer, $isAway);
    }

    public function reset(): void
    {
        $this->walks = null;
    }

    /** @return array<int, array{float, bool}> */
    private function walks(): array
    {
        $walks = [];
        $isFirst = true;
        foreach ($this->floor->rooms() as $room) {
            $seat = $room->layout->seat();
            foreach ($room->units as $unit) {
                $walks[$unit->id] = [$unit->footprint->stand()->distanceTo($seat), !$isFirst];
            }
            $isFirst = false;
        }

        return $walks;
    }
}
