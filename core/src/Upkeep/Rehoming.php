<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/**
 * The question which few moves save most: things, places, what each thing costs where, and what a plan must keep to. Places that are
 * over-full may stay so while they take nothing in.
 */
final readonly class Rehoming
{
    /** Two costs are the same within this share of all of it. */
    private const SAME = 1e-10;

    /** @var array<int, array<int, float>> what a thing saves in another place, those in which it saves most first; by thing and place */
    public array $saves;

    /** @var array<int, int> what is in a place now */
    public array $load;

    public float $before;
    public float $tolerance;

    /**
     * @param list<Living> $things
     * @param list<LivingPlace> $places
     */
    public function __construct(public array $things, public array $places, public int $most)
    {
        $saves = $load = [];
        $before = 0.0;
        $load = array_fill(0, \count($places), 0);
        foreach ($things as $i => $thing) {
            $before += $thing->uses * $places[$thing->place]->seconds;
            $load[$thing->place] += $thing->size;
            $saves[$i] = [];
            foreach ($thing->may as $q) {
                if ($q !== $thing->place && $thing->size <= $places[$q]->room) {
                    $saves[$i][$q] = $thing->uses * ($places[$thing->place]->seconds - $places[$q]->seconds);
                }
            }
            arsort($saves[$i]);
        }
        [$this->saves, $this->load, $this->before] = [$saves, $load, $before];
        $this->tolerance = self::SAME * max(1.0, $before);
    }

    /** What a place may hold at the most in the end, whatever moves: its room, or what an over-full one has now. */
    public function most(int $place): int
    {
        return max($this->places[$place]->room, $this->load[$place]);
    }

    /** @param array<int, int> $to new homes by thing */
    public function saved(array $to): float
    {
        $saved = 0.0;
        foreach ($to as $i => $q) {
            $saved += $this->saves[$i][$q];
        }

        return $saved;
    }

    /**
     * Whether a plan keeps to what is asked: few moves, to allowed places, and no place that takes anything in holds too much.
     *
     * @param array<int, int> $to
     */
    public function keepsTo(array $to): bool
    {
        if (\count($to) > $this->most) {
            return false;
        }
        $load = $this->load;
        foreach ($to as $i => $q) {
            if (!isset($this->saves[$i][$q])) {
                return false;
            }
            $load[$this->things[$i]->place] -= $this->things[$i]->size;
            $load[$q] += $this->things[$i]->size;
        }
        foreach (array_unique($to) as $q) {
            if ($load[$q] > $this->places[$q]->room) {
                return false;
            }
        }

        return true;
    }
}
