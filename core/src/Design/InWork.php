<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** How far the cards, pages or sets of a design are at the bench. What is finished has been through all steps. */
final readonly class InWork
{
    /** @var list<StepInWork> */
    public array $steps;

    /**
     * @param list<MakingStep> $steps in order
     * @param array<string, int> $done for how many each is done, by its key
     * @param int $finished how many are finished
     */
    public function __construct(public int $quantity, private int $finished, array $steps, array $done)
    {
        $this->steps = array_map(
            static fn (MakingStep $step): StepInWork => new StepInWork($step, min($quantity, max($finished, $done[$step->key] ?? 0)), $quantity),
            $steps,
        );
    }

    /** The first step that is not done for all of them; null where all are. */
    public function next(): ?StepInWork
    {
        return array_values(array_filter($this->steps, static fn (StepInWork $step): bool => $step->left() > 0))[0] ?? null;
    }

    /** @return list<MadeAlike> all of them in order, those equally far together */
    public function row(): array
    {
        $row = [];
        for ($number = 1; $number <= max($this->quantity, $this->finished); ++$number) {
            $one = $this->one($number);
            $last = end($row);
            if (false !== $last && [$last->isDone, $last->layers, $last->next] === [$one->isDone, $one->layers, $one->next]) {
                array_pop($row);
                $one = new MadeAlike($last->first, $last->many + 1, $one->isDone, $one->layers, $one->next);
            }
            $row[] = $one;
        }

        return $row;
    }

    private function one(int $number): MadeAlike
    {
        $isDone = $number <= $this->finished;
        $layers = [];
        $next = null;
        foreach ($this->steps as $step) {
            if ($step->done >= $number) {
                array_push($layers, ...(null === $step->step->layer ? [] : [$step->step->layer]));
            } else {
                $next ??= $step->step->words;
            }
        }

        return new MadeAlike($number, 1, $isDone, $layers, $isDone ? null : $next);
    }
}
