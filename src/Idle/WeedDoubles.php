<?php

declare(strict_types=1);

namespace App\Idle;

use App\Catalogue\ItemReading;
use App\Catalogue\Items;
use App\Catalogue\WhereRow;
use App\Errands\BeginErrand;
use App\Errands\Errand;
use App\Errands\ErrandRefused;
use App\Errands\PlannedTask;
use App\Errands\Purpose;
use App\Steps\Step;
use App\Stores\Places;
use Lottel\Core\Words\Counted;

/** Begins a round that looks at what is there twice, wherever the two lie: keep it, or part with it. */
final readonly class WeedDoubles
{
    public function __construct(
        private DoublesReading $reading,
        private BeginErrand $begin,
        private ItemReading $reads,
        private Items $items,
        private Places $places,
    ) {
    }

    /**
     * @param list<string> $keys the pairs that are looked at
     *
     * @throws ErrandRefused if one of them is none any more, or none of it is in a drawer
     */
    public function __invoke(Step $step, array $keys): Errand
    {
        $pairs = [];
        foreach ($this->reading->pairs() as $pair) {
            $pairs[$pair->key()] = [$pair->one->id, $pair->other->id];
        }
        if ([] !== array_diff($keys, array_keys($pairs))) {
            throw ErrandRefused::planHasChanged();
        }
        $items = array_values(array_unique(array_merge(...array_values(array_intersect_key($pairs, array_flip($keys))))));
        $tasks = [];
        foreach ($this->reads->whereaboutsOf($items) as $item => $where) {
            foreach (array_filter($where, static fn (WhereRow $row): bool => $row->isFiled()) as $row) {
                $tasks[] = PlannedTask::weed($this->items->one($item), $this->places->number($row->placeId));
            }
        }

        return ($this->begin)($step, Purpose::Weed, Counted::of(\count(array_unique($keys)), 'pair').' that may be doubles', $tasks);
    }
}
