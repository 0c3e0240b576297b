<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRoundRefused;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Words\Counted;

/** Begins a round that looks at what is not used, drawer by drawer: keep it, or part with it. */
final readonly class WeedPlaces
{
    /** More at once nobody decides. */
    private const MOST = 60;

    public function __construct(
        private UnusedReading $reading,
        private BeginUpkeepRound $begin,
        private Items $items,
        private Places $places,
        private RoomReading $room,
    ) {
    }

    /**
     * @param int $months for which a thing was not used
     * @param list<int> $only the places that are looked at
     *
     * @throws UpkeepRoundRefused if nothing idle lies there
     */
    public function __invoke(Step $step, int $months, array $only): UpkeepRound
    {
        $byPlace = $this->reading->in($only)->since($months)->byPlace();
        $stops = array_values(array_filter(array_map($this->room->stop(...), array_keys($byPlace)), static fn (?Stop $stop): bool => null !== $stop));
        $tasks = [];
        foreach ((new WalkingOrder())->of($stops) as $stop) {
            foreach ($byPlace[$stop->place] as $thing) {
                $tasks[] = PlannedTask::weed($this->items->one($thing->item), $this->places->number($stop->place));
            }
        }
        $tasks = \array_slice($tasks, 0, self::MOST);

        return ($this->begin)($step, RoundPurpose::Weed, Counted::of(\count($tasks), 'thing').' that nobody used', $tasks, isInOrder: true);
    }
}
