<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Platform\Steps\Step;
use App\Room\Stores\WaysOfRoom;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Round\Carry;
use Lottel\Core\Round\CarryPlanner;

/** Begins a round of upkeep, its stops in an order in which it is walked. */
final readonly class BeginUpkeepRound
{
    public function __construct(
        private EntityManagerInterface $entities,
        private UpkeepRounds $errands,
        private WaysOfRoom $ways,
        private CarryPlanner $planner = new CarryPlanner(),
    ) {
    }

    /**
     * @param list<PlannedTask> $tasks
     * @param bool $isInOrder whether they are to be done in the order in which they are given, for there is nothing to carry
     *
     * @throws UpkeepRoundRefused if there is nothing to do, or no basket is free
     */
    public function __invoke(Step $step, RoundPurpose $purpose, string $name, array $tasks, float $saves = 0.0, bool $isInOrder = false): UpkeepRound
    {
        if ([] === $tasks) {
            throw UpkeepRoundRefused::nothingToDo();
        }
        $this->errands->checkNoneIsMoved($tasks);
        $errand = new UpkeepRound($purpose, mb_substr($name, 0, 120), $this->errands->freeBasket(), $step->at, $saves);

        return $this->kept($errand, $tasks, ...$isInOrder ? [self::asGiven($tasks), []] : $this->planned($tasks));
    }

    /**
     * Begins to pack a box: all is taken first, in the order given, and waits in it; then all is put.
     *
     * @param non-empty-list<PlannedTask> $tasks
     */
    public function packing(Step $step, string $name, array $tasks, int $box): UpkeepRound
    {
        $errand = new UpkeepRound(RoundPurpose::Box, mb_substr($name, 0, 120), $this->errands->box($box), $step->at);
        $errand->wait();
        $take = self::asGiven($tasks);
        $after = max(0, ...$take);

        return $this->kept($errand, $tasks, $take, array_map(static fn (int $nth): int => $after + $nth, $take));
    }

    /**
     * @param list<PlannedTask> $tasks
     * @param array<int, int> $take number of the stop where each is taken or done
     * @param array<int, int> $put where it is put
     */
    private function kept(UpkeepRound $errand, array $tasks, array $take, array $put): UpkeepRound
    {
        $this->entities->persist($errand);
        foreach ($tasks as $i => $task) {
            $errand->tasks->add(new RoundTask(
                $errand,
                $task->what,
                $task->item,
                $task->place,
                $task->to,
                $task->becomesHome,
                $take[$i],
                $put[$i] ?? null,
                $task->chance,
                $task->kit,
            ));
        }
        $this->entities->flush();

        return $errand;
    }

    /**
     * @param list<PlannedTask> $tasks
     *
     * @return list<int> number of the stop by task: those at one place have one stop
     */
    private static function asGiven(array $tasks): array
    {
        $stops = $take = [];
        foreach ($tasks as $task) {
            $take[] = $stops[(int) $task->place->id] ??= \count($stops) + 1;
        }

        return $take;
    }

    /**
     * @param list<PlannedTask> $tasks
     *
     * @return array{array<int, int>, array<int, int>} number of the stop where each is taken or done, and where it is put
     */
    private function planned(array $tasks): array
    {
        $places = [];
        foreach ($tasks as $task) {
            $places[(int) $task->place->id] = $places[(int) ($task->to->id ?? $task->place->id)] = true;
        }
        $ids = array_keys($places);
        $numbers = array_flip($ids);
        $number = static fn (?int $id): int => $numbers[(int) $id];
        $carries = array_filter($tasks, static fn (PlannedTask $task): bool => null !== $task->to);
        $index = array_keys($carries);
        $round = $this->planner->of(
            array_values(array_map(static fn (PlannedTask $task): Carry => new Carry($number($task->place->id), $number($task->to?->id)), $carries)),
            array_values(array_unique(array_map(
                static fn (PlannedTask $task): int => $number($task->place->id),
                array_filter($tasks, static fn (PlannedTask $task): bool => null === $task->to),
            ))),
            $this->ways->between($ids),
        );
        $take = $put = [];
        foreach ($round->visits as $nth => $visit) {
            foreach ($tasks as $i => $task) {
                if (null === $task->to && $number($task->place->id) === $visit->place) {
                    $take[$i] ??= $nth + 1;
                }
            }
            foreach ($visit->takes as $carry) {
                $take[$index[$carry]] = $nth + 1;
            }
            foreach ($visit->puts as $carry) {
                $put[$index[$carry]] = $nth + 1;
            }
        }

        return [$take, $put];
    }
}
