<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

/**
 * Which places come into question for a household: the nearest ones that it may live in; and, so that it can make way, a few with room
 * and a few of those from which others would come.
 */
final class Choices
{
    /** Nearer by so many seconds at the least (a judgement of ours: less is not felt). */
    private const LEAST = 0.5;
    private const NEARER = 12;
    private const ROOMY = 4;
    private const LEFT_BY_OTHERS = 6;
    private const MOST_LEFT = 40;

    /** @var list<int> numbers of the places, the nearest first */
    private array $byReach;

    /** @var array<int, float> */
    private array $seconds;

    /** @var array<int, string> */
    private array $labels;

    private readonly Series $series;
    private readonly Kin $kin;

    /** @var array<string, string|null> why not, by what home and place say and by household */
    private array $known = [];

    /**
     * @param array<int, HomePlace> $dwellings by their numbers
     * @param array<int, int> $free millilitres that are left in them
     * @param list<Household> $households
     */
    public function __construct(
        private readonly array $dwellings,
        private readonly array $free,
        array $households,
        private readonly MayLive $rules = new MayLive(),
    ) {
        $this->seconds = array_map(static fn (HomePlace $dwelling): float => $dwelling->reach->total(), $dwellings);
        $this->byReach = array_keys($dwellings);
        usort($this->byReach, fn (int $a, int $b): int => $this->seconds[$a] <=> $this->seconds[$b] ?: $a <=> $b);
        $labels = [];
        foreach ($dwellings as $id => $dwelling) {
            $labels[$id] = $dwelling->label();
        }
        $numbers = array_flip(array_values(array_unique($labels)));
        $this->labels = array_map(static fn (string $label): string => (string) $numbers[$label], $labels);
        $this->series = Series::of($households, $dwellings);
        $this->kin = Kin::of($households, $dwellings);
    }

    /**
     * Returns where each household may move: nearer, where that pays within a year; and elsewhere, where others would come to its home.
     *
     * @param list<Household> $households
     *
     * @return list<list<int>> numbers of places
     */
    public function of(array $households): array
    {
        $nearer = array_map($this->nearer(...), $households);
        $wanted = array_fill_keys(array_merge(...$nearer), true);
        $left = $this->leftByThose($households, $nearer);

        return array_map(
            fn (Household $household, array $may): array => isset($wanted[$household->home])
                ? array_values(array_unique([...$may, ...$this->roomy($household), ...$this->among($left, $household)]))
                : $may,
            $households,
            $nearer,
        );
    }

    /** @return list<int> the nearest first */
    private function nearer(Household $household): array
    {
        $home = $this->dwellings[$household->home];
        $nearer = [];
        foreach ($household->uses > 0 ? $this->byReach : [] as $id) {
            $isFelt = $this->seconds[$id] < $this->seconds[$home->id] - self::LEAST;
            if (\count($nearer) >= self::NEARER || !$isFelt || !Exchange::paysAlone($household, $home, $this->dwellings[$id])) {
                break;
            }
            if ($this->may($household, $home, $id)) {
                $nearer[] = $id;
            }
        }

        return $nearer;
    }

    /** @return list<int> the nearest ones that have room for it */
    private function roomy(Household $household): array
    {
        $roomy = [];
        foreach ($this->byReach as $id) {
            if (\count($roomy) >= self::ROOMY) {
                break;
            }
            if ($this->free[$id] >= $household->millilitres() && $this->may($household, $this->dwellings[$household->home], $id)) {
                $roomy[] = $id;
            }
        }

        return $roomy;
    }

    /**
     * @param list<int> $left
     *
     * @return list<int> a few of those that it may go to
     */
    private function among(array $left, Household $household): array
    {
        $home = $this->dwellings[$household->home];

        return \array_slice(array_values(array_filter($left, fn (int $id): bool => $this->may($household, $home, $id))), 0, self::LEFT_BY_OTHERS);
    }

    /**
     * @param list<Household> $households
     * @param list<list<int>> $nearer
     *
     * @return list<int> numbers of the places that others would leave, those with the most to gain first
     */
    private function leftByThose(array $households, array $nearer): array
    {
        $gains = [];
        foreach ($households as $i => $household) {
            if ([] !== $nearer[$i]) {
                $gain = $household->uses * ($this->seconds[$household->home] - $this->seconds[$nearer[$i][0]]);
                $gains[$household->home] = ($gains[$household->home] ?? 0) + $gain;
            }
        }
        arsort($gains);

        return \array_slice(array_keys($gains), 0, self::MOST_LEFT);
    }

    private function may(Household $household, HomePlace $home, int $id): bool
    {
        if ($id === $home->id || !$household->isHere || $this->series->holds($home->id) || $this->series->holds($id)) {
            return false;
        }
        $place = $this->dwellings[$id];

        return $this->belongs($household, $home, $place) && $this->kin->has($household, $place)
            && null === $this->rules->whyThere($household, $home, $place);
    }

    private function belongs(Household $household, HomePlace $home, HomePlace $place): bool
    {
        $key = $this->labels[$home->id].' '.$this->labels[$place->id].' '.spl_object_id($household);
        if (!\array_key_exists($key, $this->known)) {
            $this->known[$key] = $this->rules->whyByLabel($household, $home, $place);
        }

        return null === $this->known[$key];
    }
}
