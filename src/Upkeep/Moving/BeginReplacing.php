<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceIndex;
use App\Room\Stores\PlaceLabels;
use App\Room\Stores\Places;
use App\Room\Stores\UnitRow;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use Lottel\Core\Upkeep\Moving\Refilled;
use Lottel\Core\Upkeep\Moving\ReplaceUnit;
use Lottel\Core\Words\Counted;

/** Begins a round that carries what lives in one unit into the one that replaces it; the new places take over what the old ones say. */
final readonly class BeginReplacing
{
    public function __construct(
        private StandingReading $reading,
        private BeginUpkeepRound $begin,
        private Items $items,
        private Places $places,
        private PlaceIndex $index,
        private PlaceLabels $labels,
        private ReplaceUnit $replace = new ReplaceUnit(),
    ) {
    }

    /** What a page has shown, to be told from what is right by now. */
    public static function mark(Refilled ...$plan): string
    {
        return hash('xxh3', implode(' ', array_map(static fn (Refilled $one): string => $one->group->from->id.'-'.$one->to?->id, $plan)));
    }

    /**
     * @return list<Refilled>
     *
     * @throws MovingRefused if it is one and the same unit
     */
    public function plan(UnitRow $old, UnitRow $new): array
    {
        return $old->id === $new->id ? throw MovingRefused::isOneUnit() : $this->replace->plan(...$this->reading->between($old, $new));
    }

    /** @throws MovingRefused if nothing goes there, or the plan is another one by now */
    public function __invoke(Step $step, UnitRow $old, UnitRow $new, string $seen): UpkeepRound
    {
        $plan = $this->plan($old, $new);
        if ($seen !== self::mark(...$plan)) {
            throw MovingRefused::hasChanged();
        }
        $tasks = [];
        foreach ($plan as $one) {
            if (null !== $one->to) {
                $from = $this->places->number($one->group->from->id);
                $to = $this->places->number($one->to->id);
                $this->takeOver($from, $to);
                foreach ($one->group->all->things as $thing) {
                    $tasks[] = PlannedTask::move($this->items->one($thing->id), $from, $to);
                }
            }
        }
        if ([] === $tasks) {
            throw MovingRefused::nothingFits($new->letters);
        }

        $name = \sprintf('%s from %s into %s', Counted::of(\count($tasks), 'thing'), $old->letters, $new->letters);

        return ($this->begin)($step, RoundPurpose::Rehome, $name, $tasks);
    }

    /** A place that says nothing yet says what the old one said. */
    private function takeOver(Place $from, Place $to): void
    {
        if (!$to->saysNothing()) {
            return;
        }
        $to->takeOver($from);
        $this->index->place($to);
        $this->labels->wishForPlace($to, 'new');
    }
}
