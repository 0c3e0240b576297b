<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Homes\Contents;
use Lottel\Core\Upkeep\BestMoves;
use Lottel\Core\Upkeep\Living;
use Lottel\Core\Upkeep\LivingPlace;

/** Households and places in the terms of the search for moves: numbers from 0, millilitres, seconds. */
final class HomesQuestion
{
    /** @var list<list<int>> where each household may move, as numbers of */
    private array $may;

    /** @var list<int> the places by the number that the search knows them by */
    private array $ids;

    /** @var array<int, int> the other way round */
    private array $numbers;

    /** @var array<int, int> millilitres of the households that live in a place */
    public readonly array $load;

    /**
     * @param list<Household> $households
     * @param array<int, HomePlace> $dwellings by their numbers
     */
    public function __construct(public readonly array $households, public readonly array $dwellings)
    {
        $this->ids = array_keys($dwellings);
        $this->numbers = array_flip($this->ids);
        $load = array_fill_keys($this->ids, 0);
        foreach ($households as $household) {
            $load[$household->home] += $household->millilitres();
        }
        $this->load = $load;
        $free = array_map(fn (int $id): int => $this->room($id) - $load[$id], array_combine($this->ids, $this->ids));
        $this->may = array_map(
            fn (array $places): array => array_map(fn (int $id): int => $this->numbers[$id], $places),
            (new Choices($dwellings, $free, $households))->of($households),
        );
    }

    /**
     * Returns the moves that save most. Only households that may move are searched among; the others take up their room.
     *
     * @return array<int, int> places by household, both by number
     */
    public function find(BestMoves $search, int $most): array
    {
        $movable = array_keys(array_filter($this->may, static fn (array $may): bool => [] !== $may));
        if ([] === $movable) {
            return [];
        }
        $found = [];
        foreach ($search->of(array_map($this->living(...), $movable), $this->places($movable), $most)->to as $i => $number) {
            $found[$movable[$i]] = $number;
        }

        return $found;
    }

    private function living(int $i): Living
    {
        $household = $this->households[$i];

        return new Living($this->numbers[$household->home], $household->uses, $household->millilitres(), $this->may[$i]);
    }

    /**
     * @param list<int> $movable numbers of households
     *
     * @return list<LivingPlace> with the room that is left by those that stay
     */
    private function places(array $movable): array
    {
        $staying = $this->load;
        foreach ($movable as $i) {
            $staying[$this->households[$i]->home] -= $this->households[$i]->millilitres();
        }

        return array_map(
            fn (int $id): LivingPlace => new LivingPlace($this->dwellings[$id]->reach->total(), max(0, $this->room($id) - $staying[$id])),
            $this->ids,
        );
    }

    /** Returns the millilitres that the households of a place may take up: what else lies in it needs its room, too. */
    public function room(int $id): int
    {
        $place = $this->dwellings[$id];
        $all = (int) ceil(1000 * $place->contents->litres);

        return $place->room() - max(0, $all - $this->load[$id]);
    }

    public function id(int $number): int
    {
        return $this->ids[$number];
    }

    /**
     * Returns, of what would overload the place where it goes to, the household there that saves least.
     *
     * @param array<int, int> $to places by household, both by number
     *
     * @return array<int, int> likewise
     */
    public function tooHeavy(array $to): array
    {
        $tooHeavy = [];
        foreach (array_unique($to) as $number) {
            if (false === $this->dwellings[$this->ids[$number]]->capacity?->carries($this->contentsAfter($number, $to))) {
                $coming = array_keys($to, $number, true);
                usort($coming, fn (int $a, int $b): int => $this->households[$a]->uses <=> $this->households[$b]->uses ?: $a <=> $b);
                $tooHeavy[$coming[0]] = $number;
            }
        }

        return $tooHeavy;
    }

    /** @param array<int, int> $to places by household, both by number */
    private function contentsAfter(int $number, array $to): Contents
    {
        $place = $this->dwellings[$this->ids[$number]];
        $contents = $place->contents;
        foreach ($to as $household => $goes) {
            $moving = $this->households[$household];
            $contents = match (true) {
                $goes === $number => $contents->plus($moving->contents),
                $moving->home === $place->id => $contents->plus($moving->contents->times(-1)),
                default => $contents,
            };
        }

        return $contents;
    }

    /** @param array<int, int> $moves places that households may not move to, both by number */
    public function forbid(array $moves): void
    {
        foreach ($moves as $household => $number) {
            $this->may[$household] = array_values(array_diff($this->may[$household], [$number]));
        }
    }
}
