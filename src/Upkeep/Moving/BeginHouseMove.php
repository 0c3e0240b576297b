<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Upkeep\Moving\BoxLimits;
use Lottel\Core\Upkeep\Moving\MovingBox;
use Lottel\Core\Upkeep\Moving\PackedThing;

/** Begins a house move: each box becomes a round that packs it, and unpacks it later. */
final readonly class BeginHouseMove
{
    public function __construct(
        private MovingReading $reading,
        private HouseMoves $moves,
        private BeginUpkeepRound $begin,
        private Items $items,
        private Places $places,
        private EntityManagerInterface $entities,
    ) {
    }

    /**
     * @param list<int> $units
     * @param int $seen how many boxes the person has seen
     *
     * @throws MovingRefused if one is under way, there is nothing to pack, or another number of boxes is needed by now
     */
    public function __invoke(Step $step, array $units, BoxLimits $limits, int $seen): HouseMove
    {
        if (null !== $this->moves->current()) {
            throw MovingRefused::isUnderWay();
        }
        $plan = $this->reading->plan($units, $limits);
        if ([] === $plan->boxes) {
            throw MovingRefused::nothingToPack();
        }
        if ($seen !== \count($plan->boxes)) {
            throw MovingRefused::hasChanged();
        }
        $move = new HouseMove($limits, array_map(static fn (PackedThing $thing): int => $thing->item, $plan->byHand), $step->at);
        $this->entities->persist($move);
        $order = $plan->unpackingOrder();
        foreach ($plan->boxes as $nth => $box) {
            $errand = $this->begin->packing($step, \sprintf('box %d of %d', $nth + 1, \count($plan->boxes)), $this->tasks($box), $nth + 1);
            $contents = $box->contents();
            $move->boxes->add(new BoxOfMove($move, $errand, $nth + 1, $order[$nth], $contents->litres, $contents->grams));
        }
        $this->entities->flush();

        return $move;
    }

    /** @return non-empty-list<PlannedTask> */
    private function tasks(MovingBox $box): array
    {
        $tasks = array_map(function (PackedThing $thing): PlannedTask {
            $place = $this->places->number($thing->place);

            return PlannedTask::box($this->items->one($thing->item), $place);
        }, $box->things);

        return [] === $tasks ? throw MovingRefused::nothingToPack() : $tasks;
    }
}
