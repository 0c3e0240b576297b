<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/**
 * A bound on what moves can save, by prices on the room of places: with a price on each unit of room, things move where they save more than
 * they pay, the best of them as many as may move; what they save at most, plus what all room would cost, no plan can save more than. The
 * prices that make the bound least are approached step by step (Lagrangean relaxation and the subgradient method, Held and Karp 1971).
 */
final class RoomPrices
{
    /** @var array<int, float> by place */
    private array $prices;

    /** @var array<int, float> the prices with the least bound so far */
    private array $best;

    private float $least = \INF;

    public function __construct(private readonly Rehoming $question)
    {
        $this->prices = $this->best = array_fill(0, \count($question->places), 0.0);
    }

    /** Returns what a step costs, in tries. */
    public function size(): int
    {
        return intdiv(\count($this->question->things) + array_sum(array_map(\count(...), $this->question->saves)), 4);
    }

    /** Returns what no plan can save more than. */
    public function bound(): float
    {
        return $this->least;
    }

    /** @return array<int, float> the prices by which it is proven, by place */
    public function prices(): array
    {
        return $this->best;
    }

    /**
     * Takes some steps towards better prices.
     *
     * @param float $known what a plan saves that is known already
     *
     * @return array<int, int> the moves that would be made at the last prices, whether or not the room holds them; by thing
     */
    public function step(float $known, float $stride): array
    {
        [$moves, $saved, $excess] = $this->moved();
        $paid = 0.0;
        foreach ($this->prices as $q => $price) {
            $paid += $price * $this->question->most($q);
        }
        $bound = $saved + $paid;
        if ($bound < $this->least) {
            [$this->least, $this->best] = [$bound, $this->prices];
        }
        $norm = 0.0;
        foreach ($excess as $q => $over) {
            $norm += $over > 0 || $this->prices[$q] > 0 ? $over * $over : 0.0;
        }
        $length = $norm > 0 ? $stride * max(0.0, $bound - $known) / $norm : 0.0;
        foreach ($excess as $q => $over) {
            $this->prices[$q] = max(0.0, $this->prices[$q] + $length * $over);
        }

        return $moves;
    }

    /**
     * What a thing gains by its best move at some prices, and where to.
     *
     * @param array<int, float> $prices
     *
     * @return array{float, int|null}
     */
    public function gain(int $thing, array $prices): array
    {
        [$most, $where] = [0.0, null];
        $living = $this->question->things[$thing];
        $own = $prices[$living->place];
        foreach ($this->question->saves[$thing] as $q => $saves) {
            $gain = $saves + $living->size * ($own - $prices[$q]);
            if ($gain > $most) {
                [$most, $where] = [$gain, $q];
            }
        }

        return [$most, $where];
    }

    /** @return array{array<int, int>, float, array<int, float>} moves, what they save less what their room costs, and how far each place is over its room */
    private function moved(): array
    {
        $gains = $to = [];
        foreach (array_keys($this->question->things) as $i) {
            [$gain, $where] = $this->gain($i, $this->prices);
            if (null !== $where) {
                [$gains[$i], $to[$i]] = [$gain, $where];
            }
        }
        arsort($gains);
        $gains = \array_slice($gains, 0, $this->question->most, true);
        $saved = array_sum($gains);
        $excess = [];
        foreach ($this->question->places as $q => $place) {
            $excess[$q] = (float) ($this->question->load[$q] - $this->question->most($q));
            $saved -= $this->prices[$q] * $this->question->load[$q];
        }
        $moves = [];
        foreach (array_keys($gains) as $i) {
            $moves[$i] = $to[$i];
            $excess[$to[$i]] += $this->question->things[$i]->size;
            $excess[$this->question->things[$i]->place] -= $this->question->things[$i]->size;
        }

        return [$moves, $saved, $excess];
    }
}
