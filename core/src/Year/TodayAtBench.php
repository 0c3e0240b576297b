<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Measure\Duration;
use Lottel\Core\Words\Counted;

/** What is to be worked on today, and what cannot be helped any more, in a sentence each. */
final readonly class TodayAtBench
{
    private const MOST_DATES = 2;

    /**
     * @param array-key|null $first the kit to work on first; null where none must be begun
     * @param list<string> $sentences
     */
    private function __construct(public int|string|null $first, public array $sentences)
    {
    }

    /**
     * @param array<array-key, WorkDays> $plan
     * @param array<array-key, string> $names by kit
     * @param list<WeekLoad> $weeks
     * @param list<array{string, Day}> $dates what else wants something made, such as a birthday without a kit, and when that must be begun
     */
    public static function of(Day $today, WorkingHours $hours, array $plan, array $names, array $weeks, array $dates = []): self
    {
        $due = array_filter($plan, static fn (WorkDays $days): bool => $days->start()->number <= $today->number);
        uasort($due, static fn (WorkDays $a, WorkDays $b): int => $a->kit->lastDay()->number <=> $b->kit->lastDay()->number);
        $first = array_key_first($due);
        $sentences = [];
        if (null !== $first) {
            $sentences[] = \sprintf('%s first.', $names[$first] ?? 'That kit');
        }
        usort($dates, static fn (array $a, array $b): int => $a[1]->number <=> $b[1]->number);
        $now = array_filter($dates, static fn (array $date): bool => $date[1]->number <= $today->number);
        foreach (\array_slice($now, 0, self::MOST_DATES) as [$name]) {
            $sentences[] = \sprintf('Nothing is planned yet for %s: begin it now.', $name);
        }
        $starts = [
            ...array_map(static fn (WorkDays $days): int => $days->start()->number, array_values($plan)),
            ...array_map(static fn (array $date): int => $date[1]->number, $dates),
        ];
        if (null === $first && [] === $now && [] !== $starts) {
            $soonest = min($starts);
            $sentences[] = \sprintf('Nothing must be begun before %s.', Day::numbered($soonest)->date()->format('l j F'));
        }
        $late = array_filter($plan, static fn (WorkDays $days): bool => $days->late() > 0);
        if ([] !== $late) {
            $sentences[] = \sprintf('%s will be late.', Counted::of(\count($late), 'kit'));
        }
        $full = \count(array_filter($weeks, static fn (WeekLoad $week): bool => $week->isOverFull()));
        if ($full > 0) {
            $sentences[] = \sprintf('%s over-full.', Counted::of($full, 'week is', 'weeks are'));
        }
        $free = $hours->on($today->number);
        $sentences[] = $free > 0 ? \sprintf('Today has %s at the bench.', Duration::ofMinutes($free)->text()) : 'Today has no hours at the bench.';

        return new self($first, $sentences);
    }
}
