<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Words\Printable;
use Lottel\Core\Year\BirthdayTitle;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;
use Sabre\VObject\Component;
use Sabre\VObject\ParseException;
use Sabre\VObject\Reader;

/** Finds the birthdays and anniversaries in a calendar (iCalendar, RFC 5545) or an address book (vCard, RFC 6350 and older). */
final class DatesInFile
{
    public const MOST_BYTES = 4_000_000;
    public const MOST_ENTRIES = 5_000;

    /** A leap year by which some programs say that they know none. */
    public const NO_YEAR = 1604;

    /**
     * @return array{list<FoundDate>, int} the dates, each person once, and how many entries have none
     *
     * @throws InvalidDateFile if it is neither, or too long
     */
    public function read(string $content): array
    {
        $text = mb_check_encoding($content, 'UTF-8') ? $content : mb_convert_encoding($content, 'UTF-8', 'Windows-1252');
        $isCalendar = false !== stripos(substr($text, 0, 200), 'BEGIN:VCALENDAR');
        if (!$isCalendar && false === stripos(substr($text, 0, 200), 'BEGIN:VCARD')) {
            throw InvalidDateFile::isNeither();
        }
        $many = (int) preg_match_all($isCalendar ? '/^BEGIN:VEVENT\s*$/im' : '/^BEGIN:VCARD\s*$/im', $text);
        if ($many > self::MOST_ENTRIES) {
            throw InvalidDateFile::tooMany($many, self::MOST_ENTRIES);
        }
        $found = $isCalendar ? $this->inCalendar($text) : $this->inCards($text);
        $each = [];
        foreach ($found as $date) {
            $each[$date->kind->value.':'.mb_strtolower($date->person)] ??= $date;
        }

        return [array_values($each), max(0, $many - \count($found))];
    }

    /** @return list<FoundDate> */
    private function inCalendar(string $text): array
    {
        $dates = [];
        foreach ($this->parsed($text)->select('VEVENT') as $event) {
            if (!$event instanceof Component) {
                continue;
            }
            $title = BirthdayTitle::read(self::said($event, 'SUMMARY'));
            $isYearly = false !== stripos(self::said($event, 'RRULE'), 'FREQ=YEARLY');
            $on = $isYearly ? self::date(self::said($event, 'DTSTART')) : null;
            if (null !== $on && '' !== $title->person) {
                $dates[] = new FoundDate(mb_substr($title->person, 0, 120), $title->kind, $on);
            }
        }

        return $dates;
    }

    /** @return list<FoundDate> */
    private function inCards(string $text): array
    {
        $dates = [];
        foreach (preg_split('/(?=^BEGIN:VCARD\s*$)/im', $text, -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $card) {
            if (false === stripos($card, 'END:VCARD')) {
                continue;
            }
            $parsed = $this->parsed($card);
            $person = mb_substr(trim(self::said($parsed, 'FN') ?: str_replace(';', ' ', self::said($parsed, 'N'))), 0, 120);
            foreach (['BDAY' => OccasionKind::Birthday, 'ANNIVERSARY' => OccasionKind::Anniversary] as $property => $kind) {
                $on = self::date(self::said($parsed, $property));
                if (null !== $on && '' !== $person) {
                    $dates[] = new FoundDate($person, $kind, $on);
                }
            }
        }

        return $dates;
    }

    private function parsed(string $text): Component
    {
        try {
            $parsed = Reader::read($text, Reader::OPTION_FORGIVING | Reader::OPTION_IGNORE_INVALID_LINES);
        } catch (ParseException) {
            throw InvalidDateFile::isBroken();
        }

        return $parsed instanceof Component ? $parsed : throw InvalidDateFile::isBroken();
    }

    private static function said(Component $of, string $property): string
    {
        $value = $of->select($property)[0] ?? null;

        return $value instanceof \Stringable ? trim(Printable::cleaned((string) $value)) : '';
    }

    /** A date such as 19500503, 1950-05-03, 19500503T000000Z, --0503 or --05-03; a year of 1604 is how some programs write none. */
    private static function date(string $text): ?Recurrence
    {
        if (1 !== preg_match('/^(\d{4}|--)-?(\d\d)-?(\d\d)(?:T.*)?$/D', $text, $m)) {
            return null;
        }
        $year = \in_array($m[1], ['--', (string) self::NO_YEAR, '0000'], true) ? null : (int) $m[1];

        return Recurrence::yearly((int) $m[2], (int) $m[3], null !== $year && YearInput::isSensible($year) ? $year : null);
    }
}
