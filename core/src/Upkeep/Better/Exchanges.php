<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Words\Counted;

/** Parts the moves of a plan into those that need each other, leaves out what is not worth it, and says why each is made. */
final readonly class Exchanges
{
    public function __construct(private HomesQuestion $question)
    {
    }

    /**
     * @param array<int, int> $to places by household, both by number
     *
     * @return list<Exchange> those that save most first
     */
    public function of(array $to): array
    {
        $moves = [];
        foreach ($to as $i => $number) {
            $moves[$i] = $this->move($this->question->households[$i], $this->question->dwellings[$this->question->id($number)]);
        }
        $exchanges = array_map(static function (array $group): Exchange {
            usort($group, static fn (BetterHome $a, BetterHome $b): int => $b->saves <=> $a->saves);

            return new Exchange($group);
        }, $this->parted($moves));
        $exchanges = array_values(array_filter($exchanges, static fn (Exchange $exchange): bool => $exchange->isWorthIt()));
        usort($exchanges, static fn (Exchange $a, Exchange $b): int => $b->saves() <=> $a->saves());

        return $exchanges;
    }

    private function move(Household $household, HomePlace $to): BetterHome
    {
        $from = $this->question->dwellings[$household->home];
        $saves = $household->uses * ($from->reach->total() - $to->reach->total());
        $reasons = $saves > 0
            ? [\sprintf('fetched %s a month', self::often($household->uses)), ...$from->reach->sparedBy($to->reach)]
            : [$household->uses > 0 ? \sprintf('makes room; fetched only %s a month', self::often($household->uses)) : 'makes room; not used lately'];

        return new BetterHome($household, $from, $to, $saves, $reasons);
    }

    private static function often(float $uses): string
    {
        return $uses < 1 ? 'less than once' : Counted::times((int) round($uses));
    }

    /**
     * Moves belong together where a place can only take in what comes because something leaves it.
     *
     * @param array<int, BetterHome> $moves
     *
     * @return list<non-empty-list<BetterHome>>
     */
    private function parted(array $moves): array
    {
        $group = array_combine(array_keys($moves), array_keys($moves));
        foreach ($this->tight($moves) as $place) {
            $touching = array_keys(array_filter($moves, static fn (BetterHome $move): bool => \in_array($place, [$move->from->id, $move->to->id], true)));
            $together = array_unique(array_map(static fn (int $i): int => $group[$i], $touching));
            $group = array_map(static fn (int $one): int => \in_array($one, $together, true) ? min($together) : $one, $group);
        }
        $parted = [];
        foreach ($moves as $i => $move) {
            $parted[$group[$i]][] = $move;
        }

        return array_values($parted);
    }

    /**
     * @param array<int, BetterHome> $moves
     *
     * @return list<int> the places that take in more than fits, or than they carry, before anything leaves them
     */
    private function tight(array $moves): array
    {
        $coming = $contents = [];
        foreach ($moves as $move) {
            $place = $move->to;
            $coming[$place->id] = ($coming[$place->id] ?? $this->question->load[$place->id]) + $move->household->millilitres();
            $contents[$place->id] = ($contents[$place->id] ?? $place->contents)->plus($move->household->contents);
        }

        return array_keys(array_filter(
            $coming,
            fn (int $all, int $id): bool => $all > $this->question->room($id)
                || false === $this->question->dwellings[$id]->capacity?->carries($contents[$id]),
            \ARRAY_FILTER_USE_BOTH,
        ));
    }
}
