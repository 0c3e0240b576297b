<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Seasons;

use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\MayLive;

/**
 * Shares out what is brought forward among the places kept for the season at hand: what lives together now comes to one place where
 * there is room for all of it, the quickest place to reach first. No place is filled beyond its room to grow, overloaded, or given what
 * does not fit, is heavy above the shoulder or within children's reach against the rule.
 */
final class BringForward
{
    public function __construct(private readonly MayLive $mayLive = new MayLive())
    {
    }

    /**
     * @param list<Seasonal> $things that are to come forward
     * @param list<HomePlace> $fronts the places kept for the season at hand
     *
     * @return list<Seasonal> the same things, each with the place that it goes to, or with none where no room is left
     */
    public function plan(array $things, array $fronts): array
    {
        usort($fronts, static fn (HomePlace $one, HomePlace $other): int => $one->reach->total() <=> $other->reach->total());
        $plan = [];
        foreach (self::byHome($things) as $together) {
            array_push($plan, ...($this->allInOne($together, $fronts) ?? $this->eachWhereItFits($together, $fronts)));
        }

        return $plan;
    }

    /**
     * @param list<Seasonal> $things
     *
     * @return list<list<Seasonal>> what lives in one place, the largest things first; the place from which most comes first
     */
    private static function byHome(array $things): array
    {
        $homes = [];
        foreach ($things as $thing) {
            $homes[$thing->from->id][] = $thing;
        }
        foreach ($homes as &$together) {
            usort($together, static fn (Seasonal $one, Seasonal $other): int => $other->household->millilitres() <=> $one->household->millilitres());
        }
        unset($together);
        usort($homes, static fn (array $one, array $other): int => self::millilitres($other) <=> self::millilitres($one));

        return $homes;
    }

    /** @param list<Seasonal> $things */
    private static function millilitres(array $things): int
    {
        return array_sum(array_map(static fn (Seasonal $thing): int => $thing->household->millilitres(), $things));
    }

    /**
     * @param list<Seasonal> $together
     * @param list<HomePlace> $fronts
     *
     * @return list<Seasonal>|null
     */
    private function allInOne(array $together, array &$fronts): ?array
    {
        foreach ($fronts as $nth => $front) {
            $filled = $front;
            $placed = [];
            foreach ($together as $thing) {
                if (!$this->takes($filled, $thing)) {
                    continue 2;
                }
                $placed[] = $thing->goingTo($front);
                $filled = $filled->holding($filled->contents->plus($thing->household->contents));
            }
            $fronts[$nth] = $filled;

            return $placed;
        }

        return null;
    }

    /**
     * @param list<Seasonal> $together
     * @param list<HomePlace> $fronts
     *
     * @return list<Seasonal>
     */
    private function eachWhereItFits(array $together, array &$fronts): array
    {
        return array_merge(...array_map(function (Seasonal $thing) use (&$fronts): array {
            return $this->allInOne([$thing], $fronts) ?? [$thing];
        }, $together));
    }

    private function takes(HomePlace $front, Seasonal $thing): bool
    {
        $litres = $front->contents->litres + $thing->household->contents->litres;

        return 1000 * $litres <= $front->room() && null === $this->mayLive->whyThere($thing->household, $thing->from, $front);
    }
}
