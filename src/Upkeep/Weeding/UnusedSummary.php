<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use Lottel\Core\Upkeep\Weeding\UnusedRoom;
use Lottel\Core\Upkeep\Weeding\UnusedThing;

/** What was not used for so many months, summed up: all of it, and the places where most of it lies with their largest things. */
final readonly class UnusedSummary
{
    private const PLACES = 24;
    private const NAMED = 4;

    /** @param array<int, array{int, float, list<UnusedHere>}> $byMonths how many things, their litres and their places, by months */
    private function __construct(private array $byMonths)
    {
    }

    public static function of(UnusedRoom $room): self
    {
        $byMonths = [];
        foreach (UnusedRoom::MONTHS as $months) {
            $idle = $room->since($months);
            $here = [];
            foreach (\array_slice($idle->byPlace(), 0, self::PLACES, true) as $place => $things) {
                $largest = array_map(static fn (UnusedThing $thing): int => $thing->item, \array_slice($things, 0, self::NAMED));
                $here[] = new UnusedHere($place, \count($things), (new UnusedRoom($things))->litres(), $largest);
            }
            $byMonths[$months] = [\count($idle->things), $idle->litres(), $here];
        }

        return new self($byMonths);
    }

    public function many(int $months): int
    {
        return $this->byMonths[$months][0];
    }

    public function litres(int $months): float
    {
        return $this->byMonths[$months][1];
    }

    /** @return list<UnusedHere> where most of it lies first */
    public function places(int $months): array
    {
        return $this->byMonths[$months][2];
    }
}
