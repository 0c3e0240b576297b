<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/**
 * Exchanges for rooms in which no room is free: one to three things of a place for about as much of another, or one thing each around
 * three places. Of each place those things are looked at that gain most when room has its price.
 */
final class PlaceExchanges
{
    /** So many things of a place are looked at for another one. */
    private const THINGS = 6;

    /** So many moves are the first of three around. */
    private const FIRSTS = 120;

    /** In a room of so few things two at once go around three places, else one. */
    private const FEW = 150;

    /** Where more room than that is free, single moves find their way. */
    private const MOST_FREE = 24;

    /** @var array<int, array<int, list<array{float, int, int, list<int>}>>> gain, size, moves that it adds, things: by place and place */
    private array $packets = [];

    /** @var array<int, array<int, array{float, array<int, int>}|null>> what gains most for each move, between two places */
    private array $known = [];

    private readonly int $around;

    /** @var array<int, int> */
    private array $to = [];

    /** @var array<int, array<int, true>> */
    private array $lies = [];

    /** @var array<int, int> */
    private array $load = [];

    /**
     * @param array<int, float> $prices of the room of places
     * @param float $power how much a move more counts against an exchange, from 0 to 1: what it gains is divided by the moves to that power
     */
    public function __construct(private readonly Rehoming $question, private readonly array $prices, private readonly float $power = 1.0)
    {
        $this->around = \count($question->things) <= self::FEW ? 2 : 1;
    }

    /** Returns what such a gain is worth that adds so many moves. */
    public function worth(float $gain, int $adds): float
    {
        return $gain / max(1, $adds) ** $this->power;
    }

    /**
     * Returns the exchange that gains most for each move that it adds.
     *
     * @param array<int, int> $to new homes by thing
     * @param array<int, array<int, true>> $lies the things in a place, by place
     * @param array<int, int> $load by place
     *
     * @return array{float, array<int, int>}|null the gain for each move, and new places by thing; null where none gains anything
     */
    public function best(array $to, array $lies, array $load, Effort $effort): ?array
    {
        $this->look($to, $lies, $load);
        $left = $this->question->most - \count($to);
        $best = null;
        foreach (array_keys($lies) as $p) {
            foreach (array_keys($lies) as $q) {
                if ($p < $q && $effort->isLeft() && abs($this->free($p)) + abs($this->free($q)) <= 2 * self::MOST_FREE) {
                    if (!\array_key_exists($q, $this->known[$p] ?? [])) {
                        $this->known[$p][$q] = $this->between($p, $q, $left, $effort);
                    }
                    $best = self::better($this->known[$p][$q], $best);
                }
            }
        }

        return self::better($this->around($left, $effort), $best);
    }

    /**
     * @param array{float, array<int, int>}|null $one
     * @param array{float, array<int, int>}|null $other
     *
     * @return array{float, array<int, int>}|null
     */
    private static function better(?array $one, ?array $other): ?array
    {
        return null !== $one && (null === $other || $one[0] > $other[0]) ? $one : $other;
    }

    /**
     * Forgets what is known of places in which something else lies now; where fewer moves are left than before, of all.
     *
     * @param array<int, int> $to
     * @param array<int, array<int, true>> $lies
     * @param array<int, int> $load
     */
    private function look(array $to, array $lies, array $load): void
    {
        $isTighter = \count($to) !== \count($this->to);
        foreach ($lies as $p => $things) {
            if (($this->lies[$p] ?? null) !== $things) {
                unset($this->known[$p], $this->packets[$p]);
                foreach (array_keys($this->known) as $other) {
                    unset($this->known[$other][$p]);
                }
            }
        }
        if ($isTighter) {
            $this->known = [];
        }
        [$this->to, $this->lies, $this->load] = [$to, $lies, $load];
    }

    private function free(int $place): int
    {
        return $this->question->places[$place]->room - $this->load[$place];
    }

    /** @return array{float, array<int, int>}|null */
    private function between(int $p, int $q, int $left, Effort $effort): ?array
    {
        $best = null;
        [$here, $there] = [$this->packets($p, $q, $effort), $this->packets($q, $p, $effort)];
        $effort->spend(\count($here) + \count($there));
        $bySize = [];
        foreach ($there as $packet) {
            $bySize[$packet[1]][] = $packet;
        }
        [$freeHere, $freeThere] = [max(0, $this->free($p)), max(0, $this->free($q))];
        foreach ($here as [$gain, $size, $adds, $things]) {
            for ($other = max(1, $size - $freeThere); $other <= $size + $freeHere; ++$other) {
                foreach ($bySize[$other] ?? [] as [$back, , $more, $others]) {
                    $effort->spend(1);
                    $each = $this->worth($gain + $back, $adds + $more);
                    if ($adds + $more <= $left && $gain + $back > $this->question->tolerance && (null === $best || $each > $best[0])) {
                        $best = [$each, array_fill_keys($things, $q) + array_fill_keys($others, $p)];
                    }
                }
            }
        }

        return $best;
    }

    /** @return array{float, array<int, int>}|null a few things around three places */
    private function around(int $left, Effort $effort): ?array
    {
        $best = null;
        foreach ($this->firsts($effort) as [$p, $q, [$gain, $size, $adds, $things]]) {
            foreach (array_keys($this->lies) as $r) {
                if ($r === $p || $r === $q) {
                    continue;
                }
                $back = $this->packets($r, $p, $effort);
                foreach ($this->packets($q, $r, $effort) as [$second, $middle, $more, $others]) {
                    if (\count($others) > $this->around || $middle < $size - max(0, $this->free($q))) {
                        continue;
                    }
                    $effort->spend(1 + intdiv(\count($back), 2));
                    foreach ($back as [$third, $last, $most, $rest]) {
                        $fits = \count($rest) <= $this->around && $last >= $middle - max(0, $this->free($r)) && $last <= $size + max(0, $this->free($p));
                        $all = $gain + $second + $third;
                        $sum = $adds + $more + $most;
                        $worth = $fits && $all > $this->question->tolerance ? $this->worth($all, $sum) : 0.0;
                        if ($sum <= $left && $worth > ($best[0] ?? 0.0)) {
                            $best = [$worth, array_fill_keys($things, $q) + array_fill_keys($others, $r) + array_fill_keys($rest, $p)];
                        }
                    }
                }
                if (!$effort->isLeft()) {
                    return $best;
                }
            }
        }

        return $best;
    }

    /** @return list<array{int, int, array{float, int, int, list<int>}}> from, to, and what goes: those that gain most by themselves */
    private function firsts(Effort $effort): array
    {
        $firsts = $gains = [];
        foreach (array_keys($this->lies) as $p) {
            foreach (array_keys($this->lies) as $q) {
                $packets = $p === $q ? [] : $this->packets($p, $q, $effort);
                $effort->spend(\count($packets));
                foreach ($packets as $packet) {
                    if (\count($packet[3]) <= $this->around && $packet[0] > 0) {
                        $firsts[] = [$p, $q, $packet];
                        $gains[] = $this->worth($packet[0], $packet[2]);
                    }
                }
            }
        }
        array_multisort($gains, \SORT_DESC, $firsts);

        return \array_slice($firsts, 0, self::FIRSTS);
    }

    /** @return list<array{float, int, int, list<int>}> gain, size, moves that it adds, things: one to three things of a place that may go to another */
    private function packets(int $p, int $q, Effort $effort): array
    {
        if (!isset($this->packets[$p][$q])) {
            $this->packets[$p][$q] = $this->packed($p, $q);
            $effort->spend(10 + 2 * \count($this->packets[$p][$q]));
        }

        return $this->packets[$p][$q];
    }

    /** @return list<array{float, int, int, list<int>}> */
    private function packed(int $p, int $q): array
    {
        $single = $reduced = [];
        foreach (array_keys($this->lies[$p]) as $i) {
            $home = $this->question->things[$i]->place;
            $saves = $q === $home ? 0.0 : $this->question->saves[$i][$q] ?? null;
            if (null === $saves) {
                continue;
            }
            $size = $this->question->things[$i]->size;
            $gain = $saves - ($p === $home ? 0.0 : $this->question->saves[$i][$p]);
            $single[] = [$gain, $size, ($q === $home ? 0 : 1) - ($p === $home ? 0 : 1), [$i]];
            $reduced[] = $gain + $size * ($this->prices[$p] - $this->prices[$q]);
        }
        array_multisort($reduced, \SORT_DESC, $single);
        $single = \array_slice($single, 0, self::THINGS);
        $packets = [];
        foreach ($single as $nth => $one) {
            $packets[] = $one;
            foreach (\array_slice($single, $nth + 1) as $more => $two) {
                $packets[] = $pair = self::together($one, $two);
                foreach (\array_slice($single, $nth + $more + 2) as $three) {
                    $packets[] = self::together($pair, $three);
                }
            }
        }

        return $packets;
    }

    /**
     * @param array{float, int, int, list<int>} $one
     * @param array{float, int, int, list<int>} $other
     *
     * @return array{float, int, int, list<int>}
     */
    private static function together(array $one, array $other): array
    {
        return [$one[0] + $other[0], $one[1] + $other[1], $one[2] + $other[2], [...$one[3], ...$other[3]]];
    }
}
