<?php

declare(strict_types=1);

namespace App\Idle;

use App\Catalogue\Items;
use App\Errands\BeginErrand;
use App\Errands\Errand;
use App\Errands\ErrandRefused;
use App\Errands\PlannedTask;
use App\Errands\Purpose;
use App\Steps\Step;
use App\Stores\Places;
use App\Stores\RoomReading;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Words\Counted;

/** Begins a round that looks at what is not used, drawer by drawer: keep it, or part with it. */
final readonly class WeedPlaces
{
    /** More at once nobody decides. */
    private const MOST = 60;

    public function __construct(
        private IdleReading $reading,
        private BeginErrand $begin,
        private Items $items,
        private Places $places,
        private RoomReading $room,
    ) {
    }

    /**
     * @param int $months for which a thing was not used
     * @param list<int> $only the places that are looked at
     *
     * @throws ErrandRefused if nothing idle lies there
     */
    public function __invoke(Step $step, int $months, array $only): Errand
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

        return ($this->begin)($step, Purpose::Weed, Counted::of(\count($tasks), 'thing').' that nobody used', $tasks, isInOrder: true);
    }
}
