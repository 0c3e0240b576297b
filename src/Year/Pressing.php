<?php

declare(strict_types=1);

namespace App\Year;

use App\Database\Row;
use App\Web\Frame;
use Doctrine\DBAL\Connection;
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
        private Connection $database,
        private Frame $frame,
    ) {
    }

    /** @return list<DayNote> the earliest first */
    public function now(): array
    {
        $today = Day::of($this->frame->today());
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
        $notes = [];
        foreach ($this->occasions->all() as $occasion) {
            foreach ($occasion->on()->between($today, $today->plus(self::AHEAD + $occasion->daysAhead)) as $day) {
                $date = new DateInYear($occasion, $day, $day->plus(-$occasion->daysAhead), $occasion->on()->years($day), null, null, false);
                $provided = $this->provided($occasion, $day);
                if ($occasion->pieces > $provided) {
                    $text = \sprintf(
                        '%s on %s, and %s planned for it',
                        $date->name(),
                        $day->date()->format('l j F'),
                        0 === $provided ? 'nothing is' : "{$provided} of {$occasion->pieces} are",
                    );
                    $notes[] = new DayNote('date-'.$date->key(), $day, $text, 'occasions');
                }
            }
        }

        return $notes;
    }

    /** How many pieces are kept, given or planned for a date. */
    private function provided(Occasion $occasion, Day $day): int
    {
        $of = ['occasion' => $occasion->id, 'day' => $day->text().'%', 'all' => $occasion->pieces];

        return Row::number($this->database->fetchOne(
            'SELECT (SELECT count(*) FROM set_aside WHERE occasion_id = :occasion AND day LIKE :day)
                + (SELECT coalesce(sum(g.quantity), 0) FROM gift g WHERE g.occasion_id = :occasion AND g.occasion_day LIKE :day
                    AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = g.movement_id))
                + (SELECT CASE WHEN count(*) > 0 THEN CAST(:all AS INTEGER) ELSE 0 END FROM kit_occasion o
                    JOIN kit k ON k.id = o.kit_id AND k.removed_at IS NULL
                    WHERE o.occasion_id = :occasion AND o.day LIKE :day)',
            $of,
        ));
    }
}
