<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Kits\Paper\Scale;
use App\Kits\Paper\ScaleTrouble;
use App\Kits\Paper\StackRow;
use App\Kits\Paper\WeighReading;
use Lottel\Core\Paper\Weighing;

/** Counts a stack of paper by what the scale shows. */
final readonly class WeighStack
{
    public function __construct(private WeighReading $reading, private Scale $scale)
    {
    }

    /** @return list<int> the papers in a place that can be weighed */
    public function stacksIn(int $place): array
    {
        $known = array_filter($this->reading->stacksIn($place), static fn (StackRow $stack): bool => null !== $stack->paper->sheet->grams());

        return array_values(array_map(static fn (StackRow $stack): int => $stack->paper->id, $known));
    }

    public function of(int $paper, int $place): WeighedStack
    {
        foreach ($this->reading->stacksIn($place) as $stack) {
            $grams = $stack->paper->sheet->grams();
            if ($stack->paper->id === $paper && null !== $grams) {
                return $this->weighed($paper, $grams, $stack->paper->sheet->isWeighed);
            }
        }

        return new WeighedStack($paper, null, 'Nobody knows yet what a sheet of it weighs.');
    }

    private function weighed(int $paper, float $grams, bool $isLearned): WeighedStack
    {
        try {
            $reading = $this->scale->weigh();
        } catch (ScaleTrouble $trouble) {
            return new WeighedStack($paper, null, $trouble->getMessage());
        }
        $weighing = Weighing::of($grams, $reading->grams, $reading->error, $isLearned);

        return new WeighedStack($paper, $weighing->sheets, $reading->inWords().' on the scale: '.$weighing->inWords());
    }
}
