<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Web\RoomClock;
use Lottel\Core\Year\Day;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** What must not wait until somebody looks for it: what is late, what is for today, dates that are near and have nothing. */
final readonly class Pressing
{
    /** A date is told so many days before it must be done. */
    private const AHEAD = 7;
    private const LONG_AGO = 3650;

    /** @param iterable<DayNotes> $notes */
    public function __construct(
        #[AutowireIterator(DayNotes::class)]
        private iterable $notes,
        private Occasions $occasions,
        private MadeForDates $made,
        private RoomClock $roomClock,
    ) {
    }

    /** @return list<DayNote> the earliest first */
    public function now(): array
    {
        $today = Day::of($this->roomClock->today());
        $notes = $this->dates($today);
        foreach ($this->notes as $who) {
            array_push($notes, ...$who->between($today->plus(-self::LONG_AGO), $today, $today));
        }
        usort($notes, static fn (DayNote $a, DayNote $b): int => [$a->day->number, $a->key] <=> [$b->day->number, $b->key]);

        return $notes;
    }

    /** @return list<DayNote> */
    private function dates(Day $today): array
    {
        [$kits, $kept, $gone] = [$this->made->kitsOf(), $this->made->kept(), $this->made->gone()];
        $notes = [];
        foreach ($this->occasions->all() as $occasion) {
            foreach ($occasion->on()->between($today, $today->plus(self::AHEAD + $occasion->daysAhead)) as $day) {
                $key = $occasion->id.':'.$day->text();
                $doneBy = $day->plus(-$occasion->daysAhead);
                $years = $occasion->on()->years($day);
                $date = new DateInYear($occasion, $day, $doneBy, $years, null, null, isset($kits[$key]), $kept[$key] ?? 0, $gone[$key] ?? 0);
                if ($date->isToMake()) {
                    $notes[] = new DayNote('date-'.$key, $day, self::said($date), 'occasions');
                }
            }
        }

        return $notes;
    }

    private static function said(DateInYear $date): string
    {
        $there = $date->served + $date->gone;

        return \sprintf(
            '%s on %s, and %s',
            $date->name(),
            $date->day->date()->format('l j F'),
            0 === $there ? 'nothing is planned for it' : \sprintf('%d of its %d pieces %s there', $there, $date->occasion->pieces, 1 === $there ? 'is' : 'are'),
        );
    }
}
