<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/**
 * Tries all plans of moves that could be better than one that is known, thing by thing, those that gain most at the prices of the room first; a
 * branch is left as soon as those prices prove that nothing better lies in it.
 */
final class EveryMove
{
    /** @var list<int> */
    private array $order;

    /** @var list<float> sums of the gains at the prices, from the first on */
    private array $sums;

    /** @var array<int, array<int, float>> what a move gains at the prices, by thing and place */
    private array $gains = [];

    /** @var array<int, int> */
    private array $best;

    private float $bestSaved;

    /** @var array<int, int> */
    private array $to = [];

    /** @var array<int, int> what is in a place of the things that are decided, by place */
    private array $settled;

    /** @var array<int, int> */
    private array $comes;

    /** @var array<int, int> what is in a place at the most, if all undecided things stay: by place */
    private array $stays;

    private float $free = 0.0;
    private bool $isWhole = true;

    /**
     * @param array<int, float> $prices by place
     * @param array<int, int> $known a plan to better
     */
    public function __construct(private readonly Rehoming $question, RoomPrices $bound, array $prices, array $known, private readonly Effort $effort)
    {
        $gain = [];
        foreach ($question->things as $i => $thing) {
            $gain[$i] = $bound->gain($i, $prices)[0];
            $this->gains[$i] = [];
            foreach ($question->saves[$i] as $q => $saves) {
                $this->gains[$i][$q] = $saves + $thing->size * ($prices[$thing->place] - $prices[$q]);
            }
            arsort($this->gains[$i]);
        }
        arsort($gain);
        $this->order = array_keys($gain);
        $this->sums = [0.0];
        foreach (array_values($gain) as $nth => $one) {
            $this->sums[] = $this->sums[$nth] + $one;
        }
        foreach ($prices as $q => $price) {
            $this->free += $price * ($question->most($q) - $question->load[$q]);
        }
        $this->settled = $this->comes = array_fill(0, \count($question->places), 0);
        $this->stays = $question->load;
        [$this->best, $this->bestSaved] = [$known, $question->saved($known)];
    }

    /** @return array<int, int> the best plan, or the best that time allowed */
    public function best(): array
    {
        $this->decide(0, 0.0, 0.0);

        return $this->best;
    }

    /** Whether all plans were tried, so that the best one is proven to be that. */
    public function isProven(): bool
    {
        return $this->isWhole;
    }

    private function decide(int $nth, float $gained, float $saved): void
    {
        $this->effort->spend(4);
        $this->isWhole = $this->isWhole && $this->effort->isLeft();
        $moved = \count($this->to);
        $this->keep($moved, $saved);
        $left = $this->question->most - $moved;
        if (!$this->isWhole || 0 === $left || $nth >= \count($this->order) || !$this->canBeBetter($nth, $gained, $left)) {
            return;
        }
        $i = $this->order[$nth];
        $thing = $this->question->things[$i];
        foreach ($this->gains[$i] as $q => $gain) {
            if ($this->settled[$q] + $thing->size <= $this->question->places[$q]->room) {
                $this->move($i, $q, 1);
                $this->decide($nth + 1, $gained + $gain, $saved + $this->question->saves[$i][$q]);
                $this->move($i, $q, -1);
            }
        }
        if (0 === $this->comes[$thing->place] || $this->settled[$thing->place] + $thing->size <= $this->question->places[$thing->place]->room) {
            $this->settled[$thing->place] += $thing->size;
            $this->decide($nth + 1, $gained, $saved);
            $this->settled[$thing->place] -= $thing->size;
        }
    }

    private function move(int $i, int $q, int $times): void
    {
        $thing = $this->question->things[$i];
        $this->settled[$q] += $times * $thing->size;
        $this->stays[$q] += $times * $thing->size;
        $this->stays[$thing->place] -= $times * $thing->size;
        $this->comes[$q] += $times;
        if ($times > 0) {
            $this->to[$i] = $q;
        } else {
            unset($this->to[$i]);
        }
    }

    /** A plan in which all that is undecided stays is one, where the room holds it. */
    private function keep(int $moved, float $saved): void
    {
        $isBetter = $saved > $this->bestSaved + $this->question->tolerance
            || ($saved >= $this->bestSaved - $this->question->tolerance && $moved < \count($this->best));
        if (!$isBetter) {
            return;
        }
        foreach ($this->comes as $q => $comes) {
            if ($comes > 0 && $this->stays[$q] > $this->question->places[$q]->room) {
                return;
            }
        }
        [$this->best, $this->bestSaved] = [$this->to, $saved];
    }

    private function canBeBetter(int $nth, float $gained, int $left): bool
    {
        $until = min($nth + $left, \count($this->order));
        $most = $this->free + $gained + $this->sums[$until] - $this->sums[$nth];
        if ($most > $this->bestSaved + $this->question->tolerance) {
            return true;
        }

        return $most >= $this->bestSaved - $this->question->tolerance && \count($this->to) + 1 < \count($this->best);
    }
}
