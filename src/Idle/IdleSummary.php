<?php

declare(strict_types=1);

namespace App\Idle;

use Lottel\Core\Upkeep\Idle\IdleRoom;
use Lottel\Core\Upkeep\Idle\IdleThing;

/** What was not used for so many months, summed up: all of it, and the places where most of it lies with their largest things. */
final readonly class IdleSummary
{
    private const PLACES = 24;
    private const NAMED = 4;

    /** @param array<int, array{int, float, list<IdleHere>}> $byMonths how many things, their litres and their places, by months */
    private function __construct(private array $byMonths)
    {
    }

    public static function of(IdleRoom $room): self
    {
        $byMonths = [];
        foreach (IdleRoom::MONTHS as $months) {
            $idle = $room->since($months);
            $here = [];
            foreach (\array_slice($idle->byPlace(), 0, self::PLACES, true) as $place => $things) {
                $largest = array_map(static fn (IdleThing $thing): int => $thing->item, \array_slice($things, 0, self::NAMED));
                $here[] = new IdleHere($place, \count($things), (new IdleRoom($things))->litres(), $largest);
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

    /** @return list<IdleHere> where most of it lies first */
    public function places(int $months): array
    {
        return $this->byMonths[$months][2];
    }
}
