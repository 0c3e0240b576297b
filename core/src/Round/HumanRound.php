<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

use Lottel\Core\Furniture\Address;

/**
 * The round as a person walks it: the stops of a unit together, from top to bottom, a lower layer after what lies on it, each
 * place once; units with heavy or hot things last on a pull and first on a return. Between units the shortest way.
 */
final readonly class HumanRound
{
    public function __construct(private FloorPlan $plan, private RoundPlanner $planner = new RoundPlanner(), private MotionTimes $times = new MotionTimes())
    {
    }

    /**
     * Returns the visits in their order, how far that is in millimetres, and about how many seconds it takes.
     *
     * @param list<Visit> $visits
     * @param bool $isReturn whether things are brought back
     *
     * @return array{visits: list<Visit>, length: float, seconds: float}
     */
    public function plan(Point $bench, array $visits, bool $isReturn = false): array
    {
        $units = $this->units($visits);
        $special = array_filter($units, static fn (array $unit): bool => [] !== array_filter($unit, static fn (Visit $visit): bool => $visit->isLast));
        $plain = array_diff_key($units, $special);
        $order = $isReturn ? $this->walk($bench, $special, $plain) : $this->walk($bench, $plain, $special);
        $ordered = array_merge(...array_map(fn (int $unit): array => $this->within($units[$unit], $isReturn), $order));
        $length = $this->length($bench, $ordered);

        return ['visits' => $ordered, 'length' => $length, 'seconds' => $this->seconds($ordered, $length)];
    }

    /**
     * @param list<Visit> $visits
     *
     * @return array<int, list<Visit>> by unit, each place once
     */
    private function units(array $visits): array
    {
        $units = [];
        foreach ($visits as $visit) {
            $before = $units[$visit->unit][$visit->address] ?? null;
            $units[$visit->unit][$visit->address] = null === $before ? $visit : new Visit(
                $visit->address,
                $visit->unit,
                $visit->stand,
                $visit->heightMm,
                $visit->access,
                $visit->layer,
                $before->things + $visit->things,
                $before->isLast || $visit->isLast,
            );
        }

        return array_map(array_values(...), $units);
    }

    /**
     * Orders two groups of units, the second after the first: from the bench past the first, and on past the second back.
     *
     * @param array<int, list<Visit>> $first
     * @param array<int, list<Visit>> $second
     *
     * @return list<int>
     */
    private function walk(Point $bench, array $first, array $second): array
    {
        if ([] === $first || [] === $second) {
            return $this->shortest($bench, $first + $second, $bench);
        }
        $order = $this->shortest($bench, $first, null);
        $last = $first[$order[\count($order) - 1]][0]->stand;

        return [...$order, ...$this->shortest($last, $second, $bench)];
    }

    /**
     * @param array<int, list<Visit>> $units
     *
     * @return list<int>
     */
    private function shortest(Point $from, array $units, ?Point $to): array
    {
        $stands = array_map(static fn (array $unit): Point => $unit[0]->stand, array_values($units));
        $round = $this->planner->plan($this->plan->distances([$from, ...$stands, ...(null === $to ? [] : [$to])]), \count($stands));
        $numbers = array_keys($units);

        return array_map(static fn (int $stop): int => $numbers[$stop], $round->order);
    }

    /**
     * @param list<Visit> $visits
     *
     * @return list<Visit>
     */
    private function within(array $visits, bool $isReturn): array
    {
        usort(
            $visits,
            static fn (Visit $a, Visit $b): int => [$isReturn ? -(int) $a->isLast : (int) $a->isLast, -$a->heightMm, $a->layer] <=> [
                $isReturn ? -(int) $b->isLast : (int) $b->isLast,
                -$b->heightMm,
                $b->layer,
            ] ?:
            Address::compare($a->address, $b->address),
        );

        return $visits;
    }

    /** @param list<Visit> $visits */
    private function length(Point $bench, array $visits): float
    {
        $points = [$bench, ...array_map(static fn (Visit $visit): Point => $visit->stand, $visits), $bench];
        $length = 0.0;
        for ($i = 1, $count = \count($points); $i < $count; ++$i) {
            $length += $this->plan->distances([$points[$i - 1], $points[$i]])[0][1];
        }

        return $length;
    }

    /** @param list<Visit> $visits */
    private function seconds(array $visits, float $length): float
    {
        $seconds = $this->times->walk($length);
        foreach ($visits as $visit) {
            $seconds += $this->times->getAt($visit->heightMm, $visit->access, $visit->layer) + $visit->things * $this->times->handle();
        }

        return $seconds;
    }
}
