<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRoundRefused;
use Lottel\Core\Upkeep\Better\BetterHome;
use Lottel\Core\Upkeep\Better\Exchange;
use Lottel\Core\Words\Counted;

/** Begins a round that carries things to their better homes. */
final readonly class BeginRehoming
{
    public function __construct(private FindBetterHomes $homes, private BeginUpkeepRound $begin, private Items $items, private Places $places)
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
     * @throws UpkeepRoundRefused if one is not in the plan any more
     */
    public function __invoke(Step $step, int $most, array $keys): UpkeepRound
    {
        $chosen = [];
        foreach ($this->homes->find($most)->plan->exchanges as $exchange) {
            $chosen[self::key($exchange)] = $exchange;
        }
        if ([] !== array_diff($keys, array_keys($chosen))) {
            throw UpkeepRoundRefused::planHasChanged();
        }
        $chosen = array_values(array_intersect_key($chosen, array_flip($keys)));
        $tasks = array_merge(...array_map($this->tasks(...), $chosen));

        return ($this->begin)(
            $step,
            RoundPurpose::Rehome,
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
