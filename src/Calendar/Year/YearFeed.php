<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Web\Frame;
use App\Platform\Web\RoomClock;
use Lottel\Core\Measure\Duration;
use Lottel\Core\Year\Day;
use Sabre\VObject\Component\VCalendar;

/** Kits on their due dates, the days on which they must be begun, and the dates of the year, as iCalendar (RFC 5545). */
final readonly class YearFeed
{
    private const WEEKS_BACK = 4;
    private const WEEKS = 57;
    private const PRODUCT = '-//Lottel//Lottel//EN';

    public function __construct(private YearReading $reading, private Frame $frame, private RoomClock $roomClock)
    {
    }

    public function written(string $host, \DateTimeImmutable $at): string
    {
        $today = Day::of($this->roomClock->today());
        $year = $this->reading->of($today->monday()->plus(-7 * self::WEEKS_BACK), self::WEEKS);
        $calendar = new VCalendar(['PRODID' => self::PRODUCT, 'METHOD' => 'PUBLISH', 'X-WR-CALNAME' => $this->frame->room()->name]);
        foreach ($year->kits as $kit) {
            if (null !== $kit->due) {
                $this->event($calendar, \sprintf('kit-%d-due@%s', $kit->kit->id, $host), $kit->due, 1, $kit->kit->name.' is due', $this->about($kit), $at);
            }
            if (null !== $kit->plan) {
                $this->event(
                    $calendar,
                    \sprintf('kit-%d-begin@%s', $kit->kit->id, $host),
                    $kit->plan->start(),
                    1,
                    'Begin '.$kit->kit->name,
                    $this->about($kit),
                    $at,
                );
            }
        }
        foreach ($year->dates as $date) {
            $uid = \sprintf('occasion-%d-%s@%s', (int) $date->occasion->id, $date->day->text(), $host);
            $this->event($calendar, $uid, $date->day, $date->occasion->lasts, $date->name(), $date->isToMake() ? 'To make.' : '', $at);
        }
        foreach ($year->notes as $note) {
            $this->event($calendar, $note->key.'@'.$host, $note->day, 1, $note->text, '', $at);
        }

        return $calendar->serialize();
    }

    private function event(VCalendar $calendar, string $uid, Day $day, int $days, string $what, string $about, \DateTimeImmutable $at): void
    {
        $event = $calendar->createComponent('VEVENT', ['UID' => $uid, 'DTSTAMP' => $at, 'SUMMARY' => $what, 'TRANSP' => 'TRANSPARENT']);
        $calendar->add($event);
        $event->add('DTSTART', $day->date()->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $day->plus($days)->date()->format('Ymd'), ['VALUE' => 'DATE']);
        if ('' !== $about) {
            $event->add('DESCRIPTION', $about);
        }
    }

    private function about(KitInYear $kit): string
    {
        $days = array_map(
            static fn (int $day, int $minutes): string => Day::numbered($day)->date()->format('D j M').' '.Duration::ofMinutes($minutes)->text(),
            array_keys($kit->plan->work ?? []),
            $kit->plan->work ?? [],
        );

        return trim($kit->kit->makes."\n".ucfirst($kit->time->inWords()).([] === $days ? '' : ': '.implode(', ', $days)));
    }
}
