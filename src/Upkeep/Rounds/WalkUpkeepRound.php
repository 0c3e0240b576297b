<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Kits\Rounds\ReturnItem;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\KeepHomes;
use App\Room\Catalogue\WhereRow;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Why;

/** What a person can do on a round of upkeep. */
final readonly class WalkUpkeepRound
{
    public function __construct(
        private LogBook $log,
        private KeepHomes $homes,
        private Places $places,
        private ItemReading $items,
        private ReturnItem $return,
        private UpkeepRounds $errands,
    ) {
    }

    /** All of a thing goes from its place into the basket. */
    public function take(Step $step, RoundTask $task): void
    {
        $item = $task->check(TaskKind::Carry, TaskState::Open)->thing();
        $this->log->move($step, $item->moves($this->here($task, $item), $task->place, $task->errand->basket, Reason::Move), null, $task->errand->name);
        $task->become(TaskState::Carried);
    }

    /** What was carried is put where it goes to, which becomes its home where that is meant. */
    public function put(Step $step, RoundTask $task): void
    {
        $item = $task->check(TaskKind::Carry, TaskState::Carried)->thing();
        $task->errand->checkIsNotWaiting();
        $to = $task->target();
        if (!$to->isStorageInUse()) {
            throw UpkeepRoundRefused::placeIsGone($item->name, $to->forLog()->label);
        }
        if ($task->becomesHome) {
            $this->homes->giveHome($step, $item, $to);
        }
        $this->fromBasket($step, $task, $to);
        $this->isDone($step, $task, TaskState::Done);
    }

    /** It goes back to where it was taken, and nothing of it changes. */
    public function putBack(Step $step, RoundTask $task): void
    {
        $task->check(TaskKind::Carry, TaskState::Carried);
        $this->fromBasket($step, $task, $task->place->isStorageInUse() ? $task->place : $this->homes->homeOrHeap($task->thing()));
        $this->isDone($step, $task, TaskState::Left);
    }

    /**
     * What is on a kit's tray goes home.
     *
     * @param list<string> $cared the hazards whose care was ticked
     */
    public function bringHome(Step $step, RoundTask $task, array $cared): void
    {
        $item = $task->check(TaskKind::Home, TaskState::Open)->thing();
        $kit = $task->kit ?? throw UpkeepRoundRefused::noSuchTask();
        $this->return->home($step, $kit, $item, $this->homes->homeOrHeap($item), $cared);
        $this->isDone($step, $task, TaskState::Done);
    }

    /** Its home is the new one from now on; what of it is out comes home there. */
    public function settle(Step $step, RoundTask $task): void
    {
        $item = $task->check(TaskKind::Carry, TaskState::Open)->thing();
        if (!$task->becomesHome || !$task->target()->isStorageInUse()) {
            throw UpkeepRoundRefused::placeIsGone($item->name, $task->target()->forLog()->label);
        }
        $this->homes->giveHome($step, $item, $task->target());
        $this->isDone($step, $task, TaskState::Done);
    }

    /** Nobody does it on this round. */
    public function leave(Step $step, RoundTask $task): void
    {
        $task->check($task->what, TaskState::Open);
        $this->isDone($step, $task, TaskState::Left);
    }

    /** The lost thing is here: it goes home with the one who looked. */
    public function found(Step $step, RoundTask $task): void
    {
        $item = $task->check(TaskKind::Look, TaskState::Open)->thing();
        $in = $task->place->isStoreInUse() ? $task->place : $this->homes->homeOrHeap($item);
        $this->homes->foundAgain($step, $item, $in);
        $this->isDone($step, $task, TaskState::Done);
        foreach ($task->errand->tasks as $other) {
            if (TaskKind::Look === $other->what && $other->item === $item) {
                $other->leave();
            }
        }
        $this->carryHome($step, $task->errand, $item, $in);
    }

    /** It was looked for in vain. */
    public function notThere(Step $step, RoundTask $task): void
    {
        $task->check(TaskKind::Look, TaskState::Open);
        $this->isDone($step, $task, TaskState::Missed);
    }

    /**
     * Something lies here that belongs elsewhere, whatever the log believed: it goes home with the one who found it.
     *
     * @param int $quantity how much of it, where it is counted
     *
     * @throws UpkeepRoundRefused if it is at home here, or there is not so much of it anywhere
     */
    public function alsoFound(Step $step, UpkeepRound $errand, Item $item, Place $here, int $quantity): void
    {
        $errand->checkIsOpen();
        if ($item->home === $here) {
            throw UpkeepRoundRefused::belongsHere($item->name, $here->address);
        }
        $this->bringHere($step, $item, $here, $quantity);
        $this->carryHome($step, $errand, $item, $here);
        $errand->endWhenDone($step->at);
    }

    /**
     * The round is over; what was not done of it is left.
     *
     * @throws UpkeepRoundRefused if something is still in the basket
     */
    public function end(Step $step, UpkeepRound $errand): void
    {
        $errand->checkIsOpen();
        foreach ($errand->tasks as $task) {
            if (TaskState::Carried === $task->state) {
                throw UpkeepRoundRefused::basketIsNotEmpty($errand->basket->address);
            }
        }
        foreach ($errand->tasks as $task) {
            $task->leave();
        }
        $errand->endWhenDone($step->at);
    }

    /** A thing that is not used stays, or all of it that is here goes into the box of what one parts with. */
    public function weed(Step $step, RoundTask $task, Fate $fate): void
    {
        $item = $task->check(TaskKind::Weed, TaskState::Open)->thing();
        $box = $this->errands->parting($fate);
        if (null !== $box) {
            $this->log->move($step, $item->moves($this->here($task, $item), $task->place, $box, Reason::Move), null, 'weeded');
        }
        $this->isDone($step, $task, TaskState::Done);
    }

    /** A thing that is weeded is to live elsewhere, and is carried there. */
    public function weedInto(Step $step, RoundTask $task, Place $home): void
    {
        $item = $task->check(TaskKind::Weed, TaskState::Open)->thing();
        $this->here($task, $item);
        $this->homes->moveTo($step, $item, $home, $task->place);
        $this->isDone($step, $task, TaskState::Done);
    }

    /** How much of a thing is where a task finds it. */
    private function here(RoundTask $task, Item $item): int
    {
        $quantity = $this->log->quantity((int) $item->id, (int) $task->place->id);

        return $quantity < 1 ? throw UpkeepRoundRefused::isNotThere($item->name, $task->place->address, $this->whereabouts($item)) : $quantity;
    }

    /** A place was counted. */
    public function counted(Step $step, RoundTask $task): void
    {
        $task->check(TaskKind::Count, TaskState::Open);
        $this->isDone($step, $task, TaskState::Done);
    }

    private function fromBasket(Step $step, RoundTask $task, Place $to): void
    {
        $item = $task->thing();
        $basket = $task->errand->basket;
        $quantity = $this->log->quantity((int) $item->id, (int) $basket->id);
        if ($quantity < 1) {
            throw UpkeepRoundRefused::isNotInBasket($item->name, $basket->address);
        }
        $this->log->move($step, $item->moves($quantity, $basket, $to, Reason::Move), null, $task->errand->name);
    }

    private function isDone(Step $step, RoundTask $task, TaskState $state): void
    {
        $task->become($state);
        $task->errand->endWhenDone($step->at);
    }

    /** The log learns that a thing is here, from where it believed it to be. */
    private function bringHere(Step $step, Item $item, Place $here, int $quantity): void
    {
        if ($this->log->quantity((int) $item->id, (int) $this->places->outside(Outside::Lost)->id) > 0) {
            $this->homes->foundAgain($step, $item, $here);

            return;
        }
        $stored = $this->log->stored((int) $item->id);
        $there = $stored[(int) $here->id] ?? 0;
        unset($stored[(int) $here->id]);
        $missing = ($item->tracking->movesWhole() ? array_sum($stored) + $there : $quantity) - $there;
        if ($there + array_sum($stored) < 1 || $missing > array_sum($stored)) {
            throw UpkeepRoundRefused::isNotThere($item->name, $here->address, $this->whereabouts($item));
        }
        foreach ($stored as $place => $quantityThere) {
            $moving = min($missing, $quantityThere);
            if ($moving > 0) {
                $moves = $item->moves($moving, $this->places->storeNumber($place), $here, Reason::Move);
                $this->log->move($step, $moves, null, 'was found here', Why::FoundHere);
                $missing -= $moving;
            }
        }
    }

    private function carryHome(Step $step, UpkeepRound $errand, Item $item, Place $here): void
    {
        $home = $item->home;
        if (null === $home || $home === $here || !$home->isStorageInUse()) {
            return;
        }
        $quantity = $this->log->quantity((int) $item->id, (int) $here->id);
        $this->log->move($step, $item->moves($quantity, $here, $errand->basket, Reason::Move), null, 'belongs elsewhere');
        $next = self::stopAt($errand, $home) ?? $errand->afterLast();
        $errand->tasks->add($task = new RoundTask($errand, TaskKind::Carry, $item, $here, $home, false, 0, $next));
        $task->become(TaskState::Carried);
        $errand->endWhenDone($step->at);
    }

    /** The number of a stop at a place that is still to be visited. */
    private static function stopAt(UpkeepRound $errand, Place $place): ?int
    {
        foreach ($errand->tasks as $task) {
            if ($place === $task->place && TaskState::Open === $task->state) {
                return $task->nth;
            }
        }

        return null;
    }

    private function whereabouts(Item $item): string
    {
        $where = array_map(
            static fn (WhereRow $row): string => match (true) {
                $row->isLost() => 'lost',
                $row->isOut() => $row->address,
                default => 'in '.$row->address,
            },
            $this->items->whereabouts((int) $item->id),
        );

        return implode(', ', $where);
    }
}
