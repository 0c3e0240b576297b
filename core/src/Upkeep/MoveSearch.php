<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/**
 * Finds a good plan of moves: again and again the change that saves most for each move that it takes, until as many things move as may; a
 * thing moves, or takes the room of another that makes way. Then changes are made in the place of moves that save less.
 */
final class MoveSearch
{
    /** So many things that make way are looked at for one that comes. */
    private const WAYS = 12;
    private const TRIES = 6;

    /** So many moves are tried: those that gain most when room has its price. */
    private const WISHES = 400;

    /** @var array<int, int> new homes by thing */
    private array $to = [];

    /** @var array<int, int> by place */
    private array $load = [];

    /** @var array<int, int> how many things come into a place */
    private array $comes = [];

    /** @var array<int, array<int, true>> the things in a place, by place */
    private array $lies = [];

    /** @var list<array{float, int, int}> what a move saves alone, of which thing, where to; what saves most first */
    private array $wishes = [];

    /** @param array<int, float> $prices of the room of places, by which the moves worth trying are told, by place */
    public function __construct(private readonly Rehoming $question, array $prices, private readonly ?PlaceExchanges $exchanges = null)
    {
        $gains = [];
        foreach ($question->saves as $i => $saves) {
            foreach ($saves as $q => $saved) {
                if ($saved > $question->tolerance) {
                    $gains[] = $saved + $question->things[$i]->size * ($prices[$question->things[$i]->place] - $prices[$q]);
                    $this->wishes[] = [$saved, $i, $q];
                }
            }
        }
        array_multisort($gains, \SORT_DESC, $this->wishes);
        $this->wishes = \array_slice($this->wishes, 0, self::WISHES);
        usort($this->wishes, static fn (array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);
    }

    /**
     * Returns the best plan that is found from here.
     *
     * @param array<int, int> $wished moves to begin with, of which those are kept that the room holds, those that save most first
     *
     * @return array<int, int>
     */
    public function from(array $wished, Effort $effort): array
    {
        $this->reset();
        $saves = [];
        foreach ($wished as $i => $q) {
            $saves[$i] = $this->question->saves[$i][$q];
        }
        arsort($saves);
        // What makes room for each other goes together, where all of it may.
        foreach ($this->make($wished) ? [] : array_keys($saves) as $i) {
            $this->make([$i => $wished[$i]]);
        }
        do {
            $change = $this->bestOf($this->bestChange($effort), $effort);
        } while (null !== $change && $this->make($change) && $effort->isLeft());

        return $this->to;
    }

    /**
     * Returns a change, or an exchange between places that saves more for each move that it adds.
     *
     * @param array<int, int|null>|null $change
     *
     * @return array<int, int|null>|null
     */
    private function bestOf(?array $change, Effort $effort): ?array
    {
        if (null === $this->exchanges) {
            return $change;
        }
        $exchange = $this->exchanges->best($this->to, $this->lies, $this->load, $effort);
        $each = null === $change ? 0.0 : $this->exchanges->worth($this->gain($change), $this->adds($change));
        if (null === $exchange || $exchange[0] <= $each) {
            return $change;
        }
        $moves = [];
        foreach ($exchange[1] as $i => $q) {
            $moves[$i] = $q === $this->question->things[$i]->place ? null : $q;
        }

        return $this->isAllowed($moves) ? $moves : $change;
    }

    private function reset(): void
    {
        [$this->to, $this->load] = [[], $this->question->load];
        $this->comes = $this->lies = [];
        foreach (array_keys($this->question->places) as $q) {
            [$this->comes[$q], $this->lies[$q]] = [0, []];
        }
        foreach ($this->question->things as $i => $thing) {
            $this->lies[$thing->place][$i] = true;
        }
    }

    /**
     * Returns what betters the plan most for each move that it adds; null where nothing does.
     *
     * @return array<int, int|null>|null new homes by thing; null where it stays at home
     */
    private function bestChange(Effort $effort): ?array
    {
        [$best, $worth] = [null, $this->question->tolerance];
        [$weakest, $waysOut] = [$this->weakest(), $this->bestWaysOut()];
        $effort->spend(\count($this->wishes));
        foreach ($this->wishes as [$saved, $i, $q]) {
            if (!$effort->isLeft()) {
                break;
            }
            $fits = $this->load[$q] + $this->question->things[$i]->size <= $this->question->places[$q]->room;
            $most = $saved - $this->saves($i) + ($fits ? 0.0 : $waysOut[$q]);
            if ($most <= $worth || ($this->to[$i] ?? null) === $q) {
                continue;
            }
            $ways = $this->ways($i, $q, $effort);
            $effort->spend(4 * \count($ways));
            foreach ($ways as $change) {
                $change = $this->within($change, $weakest);
                $gain = null === $change ? -\INF : $this->gain($change);
                $each = $gain / max(1, $this->adds($change ?? []));
                if ($each > $worth && null !== $change && $this->isAllowed($change)) {
                    [$best, $worth] = [$change, $each];
                }
            }
        }

        return $best ?? $this->leanest();
    }

    /** @return array<int, float> what a thing of a place saves at the most by leaving it, by place */
    private function bestWaysOut(): array
    {
        $most = [];
        foreach ($this->lies as $q => $things) {
            $most[$q] = -\INF;
            foreach (array_keys($things) as $j) {
                $out = isset($this->to[$j]) ? 0.0 : -\INF;
                foreach ($this->question->saves[$j] as $r => $saved) {
                    if ($r !== $q) {
                        $out = max($out, $saved);
                        break;
                    }
                }
                $most[$q] = max($most[$q], $out - $this->saves($j));
            }
        }

        return $most;
    }

    /**
     * How a thing comes into a place: as it is, or with another making way.
     *
     * @return list<array<int, int|null>>
     */
    private function ways(int $i, int $q, Effort $effort): array
    {
        $change = [$i => $q];
        if ($this->isAllowed($change)) {
            return [$change];
        }
        $ways = [];
        $effort->spend(2 * \count($this->lies[$q]));
        $over = $this->load[$q] + $this->question->things[$i]->size - $this->question->places[$q]->room;
        foreach (array_keys($this->lies[$q]) as $j) {
            if ($j === $i || $this->question->things[$j]->size < $over) {
                continue;
            }
            if ($this->question->things[$j]->place !== $q && $this->isAllowed($change + [$j => null])) {
                $ways[] = [-$this->saves($j), $change + [$j => null]];
            }
            $tries = 0;
            foreach ($this->question->saves[$j] as $r => $saved) {
                if ($r === $q || !$this->holds($r, $j, $i)) {
                    continue;
                }
                $effort->spend(2);
                if ($this->isAllowed($change + [$j => $r])) {
                    $ways[] = [$saved - $this->saves($j), $change + [$j => $r]];
                    break;
                }
                if (++$tries >= self::TRIES) {
                    break;
                }
            }
        }
        usort($ways, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column(\array_slice($ways, 0, self::WAYS), 1);
    }

    /** Whether a place could hold a thing that comes, when another leaves it. */
    private function holds(int $place, int $comes, int $leaves): bool
    {
        $free = $this->question->places[$place]->room - $this->load[$place];
        $isLeft = ($this->to[$leaves] ?? $this->question->things[$leaves]->place) === $place;

        return $this->question->things[$comes]->size <= $free + ($isLeft ? $this->question->things[$leaves]->size : 0);
    }

    /**
     * Makes room among the moves where there are too many: those that save least stay undone.
     *
     * @param array<int, int|null> $change
     * @param list<int> $weakest the things that move, those that save least first
     *
     * @return array<int, int|null>|null null where there are not so many moves to undo
     */
    private function within(array $change, array $weakest): ?array
    {
        foreach ($weakest as $x) {
            if (\count($this->to) + $this->adds($change) <= $this->question->most) {
                break;
            }
            if (!\array_key_exists($x, $change)) {
                $change[$x] = null;
            }
        }

        return \count($this->to) + $this->adds($change) <= $this->question->most ? $change : null;
    }

    /** @return list<int> */
    private function weakest(): array
    {
        $saves = [];
        foreach (array_keys($this->to) as $i) {
            $saves[$i] = $this->saves($i);
        }
        asort($saves);

        return array_keys($saves);
    }

    /**
     * Returns a move that may stay undone and costs nothing.
     *
     * @return array<int, int|null>|null
     */
    private function leanest(): ?array
    {
        foreach (array_keys($this->to) as $i) {
            if ($this->saves($i) <= $this->question->tolerance && $this->isAllowed([$i => null])) {
                return [$i => null];
            }
        }

        return null;
    }

    private function saves(int $i): float
    {
        return isset($this->to[$i]) ? $this->question->saves[$i][$this->to[$i]] : 0.0;
    }

    /** @param array<int, int|null> $change */
    private function gain(array $change): float
    {
        $gain = 0.0;
        foreach ($change as $i => $q) {
            $gain += (null === $q ? 0.0 : $this->question->saves[$i][$q]) - $this->saves($i);
        }

        return $gain;
    }

    /**
     * How many more things move then.
     *
     * @param array<int, int|null> $change
     */
    private function adds(array $change): int
    {
        $adds = 0;
        foreach ($change as $i => $q) {
            $adds += (null === $q ? 0 : 1) - (isset($this->to[$i]) ? 1 : 0);
        }

        return $adds;
    }

    /**
     * Whether the room holds what is then where.
     *
     * @param array<int, int|null> $change
     */
    private function isAllowed(array $change): bool
    {
        $load = $comes = [];
        foreach ($change as $i => $q) {
            $thing = $this->question->things[$i];
            $now = $this->to[$i] ?? $thing->place;
            $then = $q ?? $thing->place;
            $load[$now] = ($load[$now] ?? 0) - $thing->size;
            $load[$then] = ($load[$then] ?? 0) + $thing->size;
            $comes[$now] = ($comes[$now] ?? 0) - (isset($this->to[$i]) ? 1 : 0);
            $comes[$then] = ($comes[$then] ?? 0) + (null === $q ? 0 : 1);
        }
        foreach ($load as $q => $more) {
            if ($this->comes[$q] + $comes[$q] > 0 && $this->load[$q] + $more > $this->question->places[$q]->room) {
                return false;
            }
        }

        return true;
    }

    /**
     * Makes a change where it is allowed and no more things move than may.
     *
     * @param array<int, int|null> $change
     */
    private function make(array $change): bool
    {
        if (\count($this->to) + $this->adds($change) > $this->question->most || !$this->isAllowed($change)) {
            return false;
        }
        foreach ($change as $i => $q) {
            $thing = $this->question->things[$i];
            $now = $this->to[$i] ?? $thing->place;
            $this->load[$now] -= $thing->size;
            $this->comes[$now] -= isset($this->to[$i]) ? 1 : 0;
            unset($this->to[$i], $this->lies[$now][$i]);
            if (null !== $q) {
                $this->to[$i] = $q;
                ++$this->comes[$q];
            }
            $this->load[$q ?? $thing->place] += $thing->size;
            $this->lies[$q ?? $thing->place][$i] = true;
        }

        return true;
    }
}
