<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Round\Point;
use Lottel\Core\Round\RoundTime;
use Lottel\Core\Round\Standpoint;
use Lottel\Core\Round\TimedStop;
use Symfony\Contracts\Service\ResetInterface;

/** How far it is from place to place, and how long a round takes; estimates from the floor plan. */
final class WaysOfRoom implements ResetInterface
{
    /** @var array{Point|null, array<int, int>}|null where the bench's seat is, and the room of each unit, the bench's being the first */
    private ?array $plan = null;

    public function __construct(private readonly FloorReading $floor, private readonly RoomReading $room)
    {
    }

    /**
     * Returns how long it takes to visit places in this order, from the bench and back, in words; nothing where there is no bench.
     *
     * @param list<array{int, int}> $stops place, and how many things are handled there
     */
    public function inWords(array $stops): string
    {
        $seconds = $this->seconds($stops);

        return null === $seconds ? '' : RoundTime::inWords($seconds);
    }

    /** @param list<array{int, int}> $stops place, and how many things are handled there */
    public function seconds(array $stops): ?float
    {
        [$seat] = $this->plan();
        $timed = array_filter(array_map(fn (array $stop): ?TimedStop => $this->stop(...$stop), $stops));

        return null === $seat ? null : (new RoundTime())->seconds(array_values($timed), $seat);
    }

    /**
     * @param list<int> $places
     *
     * @return list<list<float>> millimetres between them; the bench is the last
     */
    public function between(array $places): array
    {
        [$seat, $rooms] = $this->plan();
        $spots = array_map(function (int $id) use ($rooms): Standpoint {
            $unit = $this->room->units()[$this->room->place($id)->unitId ?? 0] ?? null;

            return new Standpoint($unit?->footprint->stand(), $rooms[$unit->id ?? 0] ?? 0);
        }, $places);

        return Standpoint::between([...$spots, new Standpoint($seat, 0)]);
    }

    public function reset(): void
    {
        $this->plan = null;
    }

    private function stop(int $id, int $things): ?TimedStop
    {
        $place = $this->room->place($id);
        $front = $this->room->place($this->room->frontOf($id) ?? 0)?->front;
        $unit = null === $place ? null : $this->room->units()[$place->unitId] ?? null;

        return null === $place || null === $front || null === $unit ? null : new TimedStop(
            $unit->footprint->stand(),
            $front->middleAboveFloor($unit->height, $unit->aboveFloor)->wholeMillimetres(),
            $unit->template->access(),
            $place->layer,
            $things,
        );
    }

    /** @return array{Point|null, array<int, int>} */
    private function plan(): array
    {
        if (null === $this->plan) {
            $rooms = array_values($this->floor->rooms());
            $of = [];
            foreach ($rooms as $nth => $room) {
                foreach ($room->units as $unit) {
                    $of[$unit->id] = $nth;
                }
            }
            $this->plan = [($rooms[0] ?? null)?->layout->seat(), $of];
        }

        return $this->plan;
    }
}
