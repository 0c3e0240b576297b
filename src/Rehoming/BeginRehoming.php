<?php

declare(strict_types=1);

namespace App\Rehoming;

use App\Catalogue\Items;
use App\Errands\BeginErrand;
use App\Errands\Errand;
use App\Errands\ErrandRefused;
use App\Errands\PlannedTask;
use App\Errands\Purpose;
use App\Steps\Step;
use App\Stores\Places;
use Lottel\Core\Upkeep\Better\BetterHome;
use Lottel\Core\Upkeep\Better\Exchange;
use Lottel\Core\Words\Counted;

/** Begins a round that carries things to their better homes. */
final readonly class BeginRehoming
{
    public function __construct(private FindBetterHomes $homes, private BeginErrand $begin, private Items $items, private Places $places)
    {
    }

    /** What names an exchange in a form: its things and where they go. */
    public static function key(Exchange $exchange): string
    {
        return implode('.', array_map(static fn (BetterHome $move): string => $move->household->things[0]->id.'-'.$move->to->id, $exchange->moves));
    }

    /**
     * @param list<string> $keys the exchanges that are wanted, all of them still in the plan
     *
     * @throws ErrandRefused if one is not in the plan any more
     */
    public function __invoke(Step $step, int $most, array $keys): Errand
    {
        $chosen = [];
        foreach ($this->homes->find($most)->plan->exchanges as $exchange) {
            $chosen[self::key($exchange)] = $exchange;
        }
        if ([] !== array_diff($keys, array_keys($chosen))) {
            throw ErrandRefused::planHasChanged();
        }
        $chosen = array_values(array_intersect_key($chosen, array_flip($keys)));
        $tasks = array_merge(...array_map($this->tasks(...), $chosen));

        return ($this->begin)(
            $step,
            Purpose::Rehome,
            Counted::of(\count($tasks), 'thing').' to better homes',
            $tasks,
            array_sum(array_map(static fn (Exchange $exchange): float => $exchange->saves(), $chosen)),
        );
    }

    /** @return list<PlannedTask> */
    public function tasks(Exchange $exchange): array
    {
        $tasks = [];
        foreach ($exchange->moves as $move) {
            foreach ($move->household->things as $thing) {
                $tasks[] = PlannedTask::move($this->items->one($thing->id), $this->places->number($move->from->id), $this->places->number($move->to->id));
            }
        }

        return $tasks;
    }
}
