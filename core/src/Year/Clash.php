<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** Kits that are worked on on one day and want the same single thing, such as a machine. */
final readonly class Clash
{
    /** @param list<array-key> $kits keys of those that want it, two at least */
    private function __construct(public Day $day, public int $thing, public array $kits)
    {
    }

    /**
     * Returns for each thing the first day on which more than one kit wants it.
     *
     * @param array<array-key, WorkDays> $plan
     * @param array<array-key, list<int>> $things of which there is one each, by kit
     *
     * @return list<self> the earliest first
     */
    public static function among(array $plan, array $things): array
    {
        $wanting = [];
        foreach ($plan as $key => $days) {
            foreach ($things[$key] ?? [] as $thing) {
                foreach (array_keys($days->work) as $day) {
                    $wanting[$thing][$day][] = $key;
                }
            }
        }
        $clashes = [];
        foreach ($wanting as $thing => $days) {
            $shared = array_filter($days, static fn (array $kits): bool => \count($kits) > 1);
            if ([] !== $shared) {
                $day = min(array_keys($shared));
                $clashes[] = new self(Day::numbered($day), $thing, $shared[$day]);
            }
        }
        usort($clashes, static fn (self $a, self $b): int => [$a->day->number, $a->thing] <=> [$b->day->number, $b->thing]);

        return $clashes;
    }
}
