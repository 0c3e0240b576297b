<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Year\Day;
use Lottel\Core\Year\InvalidSchedule;
use Lottel\Core\Year\KitWork;
use Lottel\Core\Year\Schedule;
use Lottel\Core\Year\WorkDays;
use Lottel\Core\Year\WorkingHours;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:schedule', 'Tells when each kit must be worked on, given its due date and the hours of the week.')]
final class ScheduleCommand extends DocumentCommand
{
    /** Hours are worked with as whole billionths, so that sums of them are exact. */
    private const PARTS = 1_000_000_000;
    private const WEEK = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
    private const MOST_KITS = 10_000;
    private const MOST_DRYING = 36_500;

    /** More hours than these are in no ten years. */
    private const MOST_HOURS = 24.0 * 366 * Schedule::YEARS;

    public function answer(Document $document): array
    {
        $today = $this->day($document->get('today'));
        $hours = new WorkingHours($this->week($document->get('hours')->object()), $document->has('days') ? $this->days($document->get('days')) : []);
        [$ids, $kits] = $this->kits($document->get('kits'));
        try {
            $plan = (new Schedule($today, $hours))->of($kits);
        } catch (InvalidSchedule $invalid) {
            $document->get('hours')->refuse($invalid->getMessage());
        }

        return [
            'kits' => array_map(static fn (string $id, WorkDays $days): array => [
                'id' => $id,
                'start' => $days->start()->text(),
                'done' => $days->done()->text(),
                'late' => $days->late(),
                'work' => array_map(
                    static fn (int $day, int $amount): array => ['day' => Day::numbered($day)->text(), 'hours' => $amount / self::PARTS],
                    array_keys($days->work),
                    $days->work,
                ),
            ], $ids, $plan),
            'most_late' => max([0, ...array_map(static fn (WorkDays $days): int => $days->late(), $plan)]),
        ];
    }

    private function day(Document $day): Day
    {
        return Day::read($day->string()) ?? $day->refuse('This is not a date. Write it like 2027-03-01.');
    }

    /** @return array<int, int> by weekday */
    private function week(Document $hours): array
    {
        return array_combine(range(1, 7), array_map(fn (string $day): int => $this->dayHours($hours->get($day)), self::WEEK));
    }

    /** @return array<int, int> by the number of the day */
    private function days(Document $days): array
    {
        $hours = [];
        foreach ($days->fields() as $field) {
            $day = Day::read($field) ?? $days->get($field)->refuse('This is not a date. Write it like 2027-03-01.');
            $hours[$day->number] = $this->dayHours($days->get($field));
        }

        return $hours;
    }

    private function dayHours(Document $hours): int
    {
        $number = $hours->number();
        if ($number < 0 || $number > 24) {
            $hours->refuse('The hours of a day are 0 to 24.');
        }

        return (int) round($number * self::PARTS);
    }

    /** @return array{list<string>, list<KitWork>} */
    private function kits(Document $list): array
    {
        $entries = $list->items();
        if (\count($entries) > self::MOST_KITS) {
            $list->refuse(\sprintf('%d kits at the most.', self::MOST_KITS));
        }
        $this->idsDiffer($entries);
        $ids = array_map(static fn (Document $kit): string => $kit->get('id')->string(), $entries);

        return [$ids, array_map(fn (Document $kit): KitWork => new KitWork(
            $this->work($kit->get('hours')),
            $this->day($kit->get('due')),
            $kit->get('drying_days')->whole(0, self::MOST_DRYING),
            $kit->has('ready_from') && !$kit->get('ready_from')->isNull() ? $this->day($kit->get('ready_from')) : null,
        ), $entries)];
    }

    private function work(Document $hours): int
    {
        $number = $hours->number();
        if ($number <= 0) {
            $hours->refuse('The hours of a kit must be above 0.');
        }

        return (int) max(1, round(min(self::MOST_HOURS, $number) * self::PARTS));
    }
}
