<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Steps\Step;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\WhereRow;
use App\Room\Stores\Places;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRoundRefused;
use Lottel\Core\Words\Counted;

/** Begins a round that looks at what is there twice, wherever the two lie: keep it, or part with it. */
final readonly class WeedDoubles
{
    public function __construct(
        private DoublesReading $reading,
        private BeginUpkeepRound $begin,
        private ItemReading $reads,
        private Items $items,
        private Places $places,
    ) {
    }

    /**
     * @param list<string> $keys the pairs that are looked at
     *
     * @throws UpkeepRoundRefused if one of them is none any more, or none of it is in a drawer
     */
    public function __invoke(Step $step, array $keys): UpkeepRound
    {
        $pairs = [];
        foreach ($this->reading->pairs() as $pair) {
            $pairs[$pair->key()] = [$pair->one->id, $pair->other->id];
        }
        if ([] !== array_diff($keys, array_keys($pairs))) {
            throw UpkeepRoundRefused::planHasChanged();
        }
        $items = array_values(array_unique(array_merge(...array_values(array_intersect_key($pairs, array_flip($keys))))));
        $tasks = [];
        foreach ($this->reads->whereaboutsOf($items) as $item => $where) {
            foreach (array_filter($where, static fn (WhereRow $row): bool => $row->isFiled()) as $row) {
                $tasks[] = PlannedTask::weed($this->items->one($item), $this->places->number($row->placeId));
            }
        }

        return ($this->begin)($step, RoundPurpose::Weed, Counted::of(\count(array_unique($keys)), 'pair').' that may be doubles', $tasks);
    }
}
