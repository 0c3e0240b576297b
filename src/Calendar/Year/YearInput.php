<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Web\Input;
use App\Platform\Web\RoomClock;
use Lottel\Core\Measure\Duration;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;

/** Reads what forms say about dates, hours and times. */
final readonly class YearInput
{
    private const MOST_PIECES = 10_000;
    private const DAY = 24 * 60;
    /** Nobody keeps the date of somebody who was born before. */
    private const EARLIEST = 1800;
    private const LATEST = 9000;
    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    public function __construct(private RoomClock $roomClock)
    {
    }

    public function occasion(Input $input): OccasionDescription
    {
        $kind = $input->choice('kind', OccasionKind::class);
        $person = $input->text('person', 120);
        $name = $input->text('name', 120);
        if ('' === $name && '' === $person) {
            $input->refuse('name', $kind->isOfAPerson() ? 'Whose is it? Write a name beside it, or call the date something here.' : 'What is it called?');
        }

        return new OccasionDescription(
            $kind,
            '' !== $name ? $name : ($kind->isOfAPerson() ? KeepOccasion::nameOf($kind, $person) : $person),
            $this->on($input, $kind),
            $person,
            $input->text('wants', 120),
            $input->isEmpty('pieces') ? 1 : $input->whole('pieces', 0, self::MOST_PIECES),
            $input->isEmpty('days_ahead') ? $kind->usualDaysAhead() : $input->whole('days_ahead', 0, 366),
            $input->isEmpty('lasts') ? 1 : $input->whole('lasts', 1, 366),
        );
    }

    /** A date such as `3 May`, `3 May 1950`, `2027-05-03` or `05-03`; without a year it comes every year. */
    private function on(Input $input, OccasionKind $kind): Recurrence
    {
        $parts = self::date($input->text('on', 40, true));
        $isOnce = $input->isTicked('once');
        $day = null === $parts ? null : Day::on($parts[0] ?? 2000, $parts[1], $parts[2]);
        if (null === $day || null === $parts) {
            $input->refuse('on', 'Write the day like 3 May, or 2027-05-03 with its year.');

            return Recurrence::kept(1, 1, 2000, true);
        }
        if (null !== $parts[0] && !self::isSensible($parts[0])) {
            $input->refuse('on', \sprintf('Is the year %d right? Leave it out where it is not known.', $parts[0]));
        }
        $today = Day::of($this->roomClock->today());
        if ($isOnce && null === $parts[0]) {
            $input->refuse('on', 'Of which year? A date that comes once needs one.');
        }
        if ($isOnce && $day->year() > $today->year() + Input::MOST_YEARS_AHEAD) {
            $input->refuse('on', 'That is more than twenty years ahead; is the year right?');
        }
        if (!$isOnce && $day->year() > $today->year() + Input::MOST_YEARS_AHEAD) {
            $input->refuse('on', 'It would begin more than twenty years from now; is the year right?');
        }

        return $isOnce ? Recurrence::once($day) : Recurrence::kept($day->month(), $day->dayOfMonth(), $parts[0], true);
    }

    /** Whether a year may be meant. */
    public static function isSensible(int $year): bool
    {
        return $year >= self::EARLIEST && $year <= self::LATEST;
    }

    /** @return array{int|null, int, int}|null year, month, day */
    private static function date(string $text): ?array
    {
        if (1 === preg_match('/^(?:(\d{4})-|--)?(\d{1,2})-(\d{1,2})$/D', $text, $m)) {
            return ['' === $m[1] ? null : (int) $m[1], (int) $m[2], (int) $m[3]];
        }
        $isDayFirst = 1 === preg_match('/^(\d{1,2})(?:st|nd|rd|th)?\.?\s+(\p{L}{3,9})\.?,?(?:\s+(\d{4}))?$/Du', $text, $m);
        if (!$isDayFirst && 1 === preg_match('/^(\p{L}{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?(?:\s+(\d{4}))?$/Du', $text, $m)) {
            [$m[1], $m[2]] = [$m[2], $m[1]];
        }
        $month = isset($m[2]) ? array_search(mb_strtolower(mb_substr($m[2], 0, 3)), self::MONTHS, true) : false;

        return false === $month ? null : [isset($m[3]) && '' !== $m[3] ? (int) $m[3] : null, $month + 1, (int) ($m[1] ?? 0)];
    }

    /** How long somebody is at the bench on a day. */
    public function hours(Input $input, string $field): int
    {
        $time = Duration::read($input->text($field, 20));
        if (null === $time || $time->minutes > self::DAY) {
            $input->refuse($field, 'Write hours, such as 2, 1½ or 45 min; 0 for none, 24 at the most.');
        }

        return $time->minutes ?? 0;
    }

    /** How long a kit takes; null where nothing is said. */
    public function time(Input $input, string $field): ?int
    {
        if ($input->isEmpty($field)) {
            return null;
        }
        $time = Duration::read($input->text($field, 20));
        if (null === $time || $time->minutes < 1 || $time->minutes > 60_000) {
            $input->refuse($field, 'Write how long it takes, such as 3 h, 2½ or 45 min.');
        }

        return $time?->minutes;
    }
}
