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

    /** @var list<int> numbers of the places that others would leave, those with the most to gain first */
    private array $left;

    /** @var array<int, string> */
    private array $labels;

    private readonly Series $series;
    private readonly Kin $kin;

    /** @var array<string, string|null> why not, by what home and place say and by thing */
    private array $known = [];

    /**
     * @param array<int, Dwelling> $dwellings by their numbers
     * @param array<int, int> $free millilitres that are left in them
     * @param list<Household> $households
     */
    public function __construct(
        private readonly array $dwellings,
        private readonly array $free,
        array $households,
        private readonly MayLive $rules = new MayLive(),
    ) {
        $this->byReach = array_keys($dwellings);
        usort($this->byReach, static fn (int $a, int $b): int => $dwellings[$a]->reach->total() <=> $dwellings[$b]->reach->total() ?: $a <=> $b);
        $labels = [];
        foreach ($dwellings as $id => $dwelling) {
            $labels[$id] = $dwelling->label();
        }
        $numbers = array_flip(array_values(array_unique($labels)));
        $this->labels = array_map(static fn (string $label): string => (string) $numbers[$label], $labels);
        $this->left = $this->wouldBeLeft($households);
        $this->series = Series::of($households, $dwellings);
        $this->kin = Kin::of($households, $dwellings);
    }

    /** @return list<int> numbers of places, the nearest first */
    public function of(Household $household): array
    {
        if (!$household->isHere || $this->series->holds($household->home)) {
            return [];
        }
        $home = $this->dwellings[$household->home];
        $size = $household->millilitres();
        $thing = serialize($household->things);
        $nearer = $roomy = [];
        foreach ($this->byReach as $id) {
            $reach = $this->dwellings[$id]->reach->total();
            $isNearer = $household->uses > 0 && \count($nearer) < self::NEARER && $reach < $home->reach->total() - self::LEAST;
            $isRoomy = \count($roomy) < self::ROOMY && $this->free[$id] >= $size;
            if (($isNearer || $isRoomy) && $this->may($household, $home, $id, $thing)) {
                $isNearer ? $nearer[] = $id : $roomy[] = $id;
            }
            if (self::ROOMY === \count($roomy) && (self::NEARER === \count($nearer) || $reach >= $home->reach->total())) {
                break;
            }
        }

        return array_values(array_unique([...$nearer, ...$roomy, ...$this->leftByOthers($household, $home, $thing)]));
    }

    /** @return list<int> */
    private function leftByOthers(Household $household, Dwelling $home, string $thing): array
    {
        $left = [];
        foreach ($this->left as $id) {
            if (\count($left) < self::LEFT_BY_OTHERS && $this->may($household, $home, $id, $thing)) {
                $left[] = $id;
            }
        }

        return $left;
    }

    /**
     * @param list<Household> $households
     *
     * @return list<int>
     */
    private function wouldBeLeft(array $households): array
    {
        $nearest = [] === $this->byReach ? 0.0 : $this->dwellings[$this->byReach[0]]->reach->total();
        $gains = [];
        foreach ($households as $household) {
            $gain = $household->uses * ($this->dwellings[$household->home]->reach->total() - $nearest - self::LEAST);
            if ($gain > 0) {
                $gains[$household->home] = ($gains[$household->home] ?? 0) + $gain;
            }
        }
        arsort($gains);

        return \array_slice(array_keys($gains), 0, self::MOST_LEFT);
    }

    private function may(Household $household, Dwelling $home, int $id, string $thing): bool
    {
        if ($id === $home->id || $this->series->holds($id)) {
            return false;
        }
        $place = $this->dwellings[$id];
        $key = $this->labels[$home->id].' '.$this->labels[$place->id].' '.$thing;
        if (!\array_key_exists($key, $this->known)) {
            $this->known[$key] = $this->rules->whyByLabel($household, $home, $place);
        }

        return null === $this->known[$key] && $this->kin->has($household, $place) && null === $this->rules->whyThere($household, $home, $place);
    }
}
