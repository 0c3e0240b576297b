<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Steps\Step;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Upkeep\Counting\PlaceHistory;
use Lottel\Core\Upkeep\Counting\RollingCount;

/** Begins a round that counts places, in walking order. */
final readonly class BeginCount
{
    public function __construct(private BeginUpkeepRound $begin, private CountHistories $histories, private RoomReading $room, private Places $places)
    {
    }

    /** The places whose counts are due, those first where most is likely to be wrong. */
    public function next(Step $step, int $most): UpkeepRound
    {
        $due = RollingCount::next($this->histories->all(), $most);

        return $this->of($step, 'the next '.\count($due), array_map(static fn (PlaceHistory $place): int => $place->place, $due));
    }

    /** All places of a unit, or of the whole room. */
    public function whole(Step $step, ?int $unit): UpkeepRound
    {
        $places = [];
        foreach ($this->room->places() as $place) {
            if (null === $unit || $place->unitId === $unit) {
                $places[] = $place->id;
            }
        }

        return $this->of($step, null === $unit ? 'the whole room' : $this->room->units()[$unit]->name, $places);
    }

    /** @param list<int> $places */
    private function of(Step $step, string $name, array $places): UpkeepRound
    {
        $stops = array_values(array_filter(array_map($this->room->stop(...), $places), static fn (?Stop $stop): bool => null !== $stop));
        $tasks = array_map(
            fn (Stop $stop): PlannedTask => PlannedTask::count($this->places->number($stop->place)),
            (new WalkingOrder())->of($stops),
        );

        return ($this->begin)($step, RoundPurpose::Count, $name, $tasks, isInOrder: true);
    }
}
